import { type ReactNode, Suspense, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { focusWidth, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { useImportStep } from './importStep';
import { useImport } from './useImport';

/** Whether what lies under the pointer attaches files itself (`data-takes-files`). */
const takesFiles = (event: DragEvent): boolean =>
  event.target instanceof Element && event.target.closest('[data-takes-files]') !== null;

const hasFiles = (event: DragEvent): boolean => !!event.dataTransfer?.types.includes('Files');

/** Takes files dropped anywhere on the page, and shows the import, whose sheet it is given. */
export function ImportHost({ children }: { children: ReactNode }) {
  const { colours } = useTheme();
  const { read } = useImport();
  const isIdle = useImportStep(({ step }) => step.kind === 'idle');
  const [over, setOver] = useState(false);
  useEffect(() => {
    const onOver = (event: DragEvent) => {
      if (!hasFiles(event)) return;
      event.preventDefault();
      setOver(!takesFiles(event));
    };
    const onLeave = (event: DragEvent) => {
      if (event.relatedTarget === null) setOver(false);
    };
    const onDrop = (event: DragEvent) => {
      if (!hasFiles(event)) return;
      event.preventDefault();
      setOver(false);
      // Where files can be attached, they are.
      if (takesFiles(event)) return;
      void read([...(event.dataTransfer?.files ?? [])]);
    };
    window.addEventListener('dragover', onOver);
    window.addEventListener('dragleave', onLeave);
    window.addEventListener('drop', onDrop);
    return () => {
      window.removeEventListener('dragover', onOver);
      window.removeEventListener('dragleave', onLeave);
      window.removeEventListener('drop', onDrop);
    };
  }, [read]);
  return (
    <>
      {over ? (
        <View pointerEvents="none" style={[styles.over, { backgroundColor: colours.scrim }]}>
          <View style={[styles.box, { backgroundColor: colours.card, borderColor: colours.accent }]}>
            <AppText size="title" weight="700">
              {words.data.drop}
            </AppText>
          </View>
        </View>
      ) : null}
      {isIdle ? null : <Suspense fallback={null}>{children}</Suspense>}
    </>
  );
}

const styles = StyleSheet.create({
  over: {
    position: 'absolute',
    left: 0,
    right: 0,
    top: 0,
    bottom: 0,
    zIndex: 50,
    alignItems: 'center',
    justifyContent: 'center',
  },
  box: { padding: space(8), borderWidth: focusWidth, borderStyle: 'dashed', borderRadius: space(2) },
});
