import { type PlanAddress, workspace } from '@/features/workspace';
import { Button, type ButtonProps } from '@/ui/primitives/Button';
import { words } from '@/ui/words';
import { type TableParameters, usePresetLook } from './usePresetLook';

/** Opens the presets, and says which is applied. `onlyApplied`: stands only while one is. */
export function PresetsButton({
  address,
  table,
  onlyApplied = false,
  ...look
}: {
  address: PlanAddress;
  table?: TableParameters;
  onlyApplied?: boolean;
} & Pick<ButtonProps, 'kind' | 'iconOnly'>) {
  const { applied, isChanged } = usePresetLook(address, table);
  if (onlyApplied && !applied) return null;
  const said = isChanged ? words.presets.changed : words.presets.applied;
  return (
    <Button
      icon={applied && !isChanged ? 'bookmark' : 'bookmark-outline'}
      label={applied ? said(applied.name) : words.presets.title}
      shown={applied?.name ?? words.presets.title}
      onPress={() => workspace.openSheet('presets')}
      {...look}
    />
  );
}
