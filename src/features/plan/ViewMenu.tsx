import { useRef, useState } from 'react';
import { StyleSheet, type View } from 'react-native';
import { VIEWS } from '@/core/layout/views';
import { type PlanAddress, usePlanAddress, workspace } from '@/features/workspace';
import { Button } from '@/ui/primitives/Button';
import { type Anchor, anchorOf, Popover } from '@/ui/primitives/Popover';
import { words } from '@/ui/words';
import { DayCount } from './DayCount';

/** The view switch of the phone: one button that opens the list, with the run-down of today below. */
export function ViewMenu({ address }: { address: PlanAddress }) {
  const button = useRef<View>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const { to } = usePlanAddress();
  const close = () => setAnchor(null);
  return (
    <>
      <Button
        ref={button}
        icon="view-week-outline"
        iconOnly
        label={`${words.plan.views}: ${words.plan.view[address.view]}`}
        onPress={() => setAnchor(anchorOf(button.current))}
      />
      {anchor ? (
        <Popover anchor={anchor} label={words.plan.views} onClose={close}>
          {VIEWS.map((view) => (
            <Button
              key={view}
              role="menuitem"
              kind="quiet"
              label={words.plan.view[view]}
              icon={address.view === view ? 'check' : undefined}
              style={styles.item}
              onPress={() => {
                to({ view });
                close();
              }}
            />
          ))}
          {address.view === 'days' ? <DayCount address={address} /> : null}
          <Button
            role="menuitem"
            kind="quiet"
            icon="note-text-outline"
            label={words.desk.restOfToday}
            style={styles.item}
            onPress={() => {
              workspace.clearSelection();
              workspace.setDesk(true);
              close();
            }}
          />
        </Popover>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({ item: { justifyContent: 'flex-start' } });
