import type { PointerEvent } from 'react';
import { AppIcon } from '@/ui/icons/AppIcon';
import { useTheme } from '@/ui/theme/theme';
import { tableClasses } from './tableClasses';

/** Whether a row is selected: pressed, or drawn over. */
export function Tick({
  label,
  checked,
  onPress,
  onDraw,
  tabIndex = 0,
}: {
  label: string;
  checked: 'all' | 'some' | 'none';
  onPress: (withShift: boolean) => void;
  /** A press that goes on over further rows begins here. */
  onDraw?: (event: PointerEvent) => void;
  tabIndex?: number;
}) {
  const { colours } = useTheme();
  const isOn = checked !== 'none';
  return (
    <button
      type="button"
      role="checkbox"
      aria-label={label}
      aria-checked={checked === 'some' ? 'mixed' : isOn}
      tabIndex={tabIndex}
      className={tableClasses.tick}
      onPointerDown={onDraw}
      onClick={(event) => {
        event.stopPropagation();
        onPress(event.shiftKey);
      }}
    >
      <span
        className={tableClasses.tickBox}
        style={{
          borderColor: isOn ? colours.accent : colours.quietInk,
          backgroundColor: isOn ? colours.accent : colours.card,
        }}
      >
        {isOn ? (
          <AppIcon name={checked === 'some' ? 'minus' : 'check'} size={16} color={colours.card} />
        ) : null}
      </span>
    </button>
  );
}
