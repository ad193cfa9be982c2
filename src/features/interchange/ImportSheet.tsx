import { StyleSheet, View } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Progress } from '@/ui/primitives/Progress';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { importingWords } from '@/ui/words/importing';
import { chooseFiles, IMPORTABLE } from './files';
import { ImportPreview } from './ImportPreview';
import { RestoreSheet } from './RestoreSheet';
import { TableStep } from './TableStep';
import { useImportStep } from './importStep';
import { useImport } from './useImport';

/** What files hold and what of it can't be read, before anything is imported. */
export function ImportSheet() {
  const step = useImportStep((state) => state.step);
  const { read, close } = useImport();
  if (step.kind === 'idle') return null;
  const again = () => void chooseFiles(IMPORTABLE).then(read);
  if (step.kind === 'preview') return <ImportPreview parts={step.parts} refused={step.refused} />;
  if (step.kind === 'table') return <TableStep key={step.name} name={step.name} read={step.read} />;
  if (step.kind === 'backup') return <RestoreSheet backup={step.backup} />;
  return (
    <Sheet
      title={importingWords.title}
      closeLabel={words.actions.cancel}
      onClose={close}
      footer={
        step.kind === 'refused' ? (
          <>
            <Button label={words.actions.close} onPress={close} />
            <Button kind="primary" label={importingWords.again} onPress={again} />
          </>
        ) : (
          <Button label={words.actions.cancel} onPress={close} />
        )
      }
    >
      {step.kind === 'refused' ? (
        <View role="alert" style={styles.group}>
          <AppText weight="700">{step.name}</AppText>
          <AppText tone="error">{importingWords.refusals[step.reason]}</AppText>
          <AppText>{importingWords.unchanged}</AppText>
        </View>
      ) : (
        <Progress
          label={step.kind === 'saving' ? importingWords.saving : importingWords.reading(step.name)}
          done={step.kind === 'reading' ? step.done : 1}
          total={step.kind === 'reading' ? step.total : 1}
          count={step.kind === 'reading' ? importingWords.progress(step.done, step.total) : undefined}
        />
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({ group: { gap: space(2) } });
