import { useRef, useState } from 'react';
import type { View } from 'react-native';
import { VIEWS } from '@/core/model/look';
import { type PlanAddress, usePlanAddress, workspace } from '@/features/workspace';
import type { IconName } from '@/ui/icons/paths';
import { Button } from '@/ui/primitives/Button';
import { MenuItem } from '@/ui/primitives/MenuItem';
import { type Anchor, anchorOf, Popover } from '@/ui/primitives/Popover';
import { words } from '@/ui/words';
import { usePresetLook } from './presets/usePresetLook';
import { QUICK_VIEWS } from './viewChoices';

interface ViewMenuItem {
  readonly label: string;
  readonly icon: IconName | undefined;
  readonly act: () => void;
}

/** What a wide screen has buttons for. */
const phoneItems = (applied: string | undefined): readonly ViewMenuItem[] => [
  {
    label: applied === undefined ? words.presets.title : words.presets.applied(applied),
    icon: applied === undefined ? 'bookmark-outline' : 'bookmark',
    act: () => workspace.openSheet('presets'),
  },
  { label: words.look.title, icon: 'tune-variant', act: () => workspace.openSheet('look') },
  {
    label: words.desk.restOfToday,
    icon: 'note-text-outline',
    act: () => {
      workspace.clearSelection();
      workspace.setDesk(true);
    },
  },
];

/** The view switch where there is little room: one button that opens the list, with what else there is to open. */
export function ViewMenu({ address, today, wide }: { address: PlanAddress; today: number; wide: boolean }) {
  const button = useRef<View>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const { to } = usePlanAddress();
  const { applied } = usePresetLook(address, undefined);
  const items: ViewMenuItem[] = [
    ...VIEWS.map((view) => ({
      label: words.plan.view[view],
      icon: address.view === view ? ('check' as const) : undefined,
      act: () => to({ view }),
    })),
    ...QUICK_VIEWS.map(({ label, look }) => ({
      label,
      icon: 'arrow-right' as const,
      act: () => to({ ...look, day: today }),
    })),
    ...(wide ? [] : phoneItems(applied?.name)),
  ];
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
          {items.map(({ label, icon, act }) => (
            <MenuItem
              key={label}
              icon={icon}
              label={label}
              onPress={() => {
                setAnchor(null);
                act();
              }}
            />
          ))}
        </Popover>
      ) : null}
    </>
  );
}
