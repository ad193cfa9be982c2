import { Suspense, useState } from 'react';
import { eventAt, targetOfKey } from '@/core/change/target';
import type { Calendar } from '@/core/model/calendar';
import { againSheet } from '@/features/desk';
import type { Commands, PlanAddress } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { MenuItem } from '@/ui/primitives/MenuItem';
import { Popover } from '@/ui/primitives/Popover';
import { words } from '@/ui/words';
import type { usePlanActions } from '../usePlanActions';
import { closePlanMenu, usePlanMenu } from './planMenu';
import type { PlanMenuItem } from './menuItem';
import { useMenuItems } from './useMenuItems';

/** The menu of what the right button was pressed on, or of what the Menu key was pressed at. */
export function PlanMenu({
  address,
  commands,
  draftCalendar,
  actions,
}: {
  address: PlanAddress;
  commands: Commands;
  draftCalendar: Calendar | undefined;
  actions: ReturnType<typeof usePlanActions>;
}) {
  const { store } = useOpenStore();
  const open = usePlanMenu((state) => state.open);
  const [inner, setInner] = useState<{ of: object; item: PlanMenuItem } | null>(null);
  const [again, setAgain] = useState<string | null>(null);
  const itemsOf = useMenuItems(address, commands, draftCalendar, actions, setAgain);
  const menu = open ? itemsOf(open.subject) : undefined;
  const shown = inner && inner.of === open ? inner.item : undefined;
  const event =
    again === null ? undefined : eventAt(store.getSnapshot().state, targetOfKey(again), commands.context());
  return (
    <>
      {open && menu ? (
        <Popover
          key={shown?.label ?? ''}
          anchor={open.anchor}
          label={shown ? `${menu.title}: ${shown.label}` : menu.title}
          onClose={closePlanMenu}
        >
          {shown ? (
            <MenuItem label={words.menus.back} icon="arrow-left" onPress={() => setInner(null)} />
          ) : null}
          {(shown?.items ?? menu.items).map((item) => (
            <MenuItem
              key={item.label}
              label={item.label}
              icon={item.icon}
              kind={item.kind}
              opens={item.items !== undefined}
              onPress={() => {
                if (item.items) return setInner({ of: open, item });
                closePlanMenu();
                item.act?.();
              }}
            />
          ))}
        </Popover>
      ) : null}
      {again !== null && event ? (
        <Suspense fallback={null}>
          <againSheet.Later occurrenceKey={again} event={event} onClose={() => setAgain(null)} />
        </Suspense>
      ) : null}
    </>
  );
}
