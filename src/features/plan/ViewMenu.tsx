import { useRef, useState } from 'react';
import { StyleSheet, type View } from 'react-native';
import { VIEWS } from '@/core/model/look';
import { type PlanAddress, usePlanAddress, workspace } from '@/features/workspace';
import { Button } from '@/ui/primitives/Button';
import { type Anchor, anchorOf, Popover } from '@/ui/primitives/Popover';
import { words } from '@/ui/words';
import { QUICK_VIEWS } from './viewChoices';

/** The view switch where there is little room: one button that opens the list, with what else there is to open. */
export function ViewMenu({ address, today, wide }: { address: PlanAddress; today: number; wide: boolean }) {
  const button = useRef<View>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const { to } = usePlanAddress();
  const act = (action: () => void) => () => {
    setAnchor(null);
    action();
  };
  const name = words.plan.view[address.view];
  return (
    <>
      <Button
        ref={button}
        icon="view-week-outline"
        iconOnly={!wide}
        shown={name}
        label={`${words.plan.views}: ${name}`}
        onPress={() => setAnchor(anchorOf(button.current))}
      />
      {anchor ? (
        <Popover anchor={anchor} label={words.plan.views} onClose={() => setAnchor(null)}>
          {VIEWS.map((view) => (
            <Button
              key={view}
              role="menuitem"
              kind="quiet"
              label={words.plan.view[view]}
              icon={address.view === view ? 'check' : undefined}
              style={styles.item}
              onPress={act(() => to({ view }))}
            />
          ))}
          {QUICK_VIEWS.map(({ label, look }) => (
            <Button
              key={label}
              role="menuitem"
              kind="quiet"
              icon="arrow-right"
              label={label}
              style={styles.item}
              onPress={act(() => to({ ...look, day: today }))}
            />
          ))}
          {wide ? null : (
            <>
              <Button
                role="menuitem"
                kind="quiet"
                icon="bookmark-outline"
                label={words.presets.title}
                style={styles.item}
                onPress={act(() => workspace.openSheet('presets'))}
              />
              <Button
                role="menuitem"
                kind="quiet"
                icon="tune-variant"
                label={words.look.title}
                style={styles.item}
                onPress={act(() => workspace.openSheet('look'))}
              />
              <Button
                role="menuitem"
                kind="quiet"
                icon="note-text-outline"
                label={words.desk.restOfToday}
                style={styles.item}
                onPress={act(() => {
                  workspace.clearSelection();
                  workspace.setDesk(true);
                })}
              />
            </>
          )}
        </Popover>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({ item: { justifyContent: 'flex-start' } });
