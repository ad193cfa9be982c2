import { useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import type { BatchProblem, Outcome } from '@/core/change/batch/batchRun';
import { isRecurring, masterOf, type Scope, SCOPES, type Target, targetOfKey } from '@/core/change/target';
import type { BatchStep } from '@/core/model/batchStep';
import type { State } from '@/core/model/state';
import { useCommands, useWorkspace, workspace } from '@/features/workspace';
import { useSnapshot } from '@/store';
import { useBackCloses } from '@/ui/backCloses';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { isOwnKey, webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';
import { checkWords } from '@/ui/words/checks';
import { FixList } from './FixList';
import { NewOverlaps } from './NewOverlaps';
import { PreviewRows } from './PreviewRows';
import { Recipes } from './Recipes';
import { type ListedStep, StepList } from './StepList';
import { type BatchPreview, useBatchPreview } from './useBatchPreview';

const said = batchWords.preview;
const NONE: ReadonlySet<string> = new Set();

function problemText(problem: BatchProblem): string {
  switch (problem.kind) {
    case 'steps-after':
      return batchWords.problems['steps-after'](batchWords.kinds[problem.step]);
    case 'no-expression':
      return batchWords.problems['no-expression'](problem.reason);
    case 'no-targets':
    case 'no-steps':
      return batchWords.problems[problem.kind];
  }
}

/** The series of which single occurrences were chosen, by their ids: of these it has to be said which change. */
function seriesAmong(state: State, targets: readonly Target[]): ReadonlySet<string> {
  const found = new Set<string>();
  for (const target of targets) {
    const master = masterOf(state, target);
    const isWhole = target.recurrenceKey === undefined && master?.id === target.entryId;
    if (master && !isWhole && isRecurring(state, target)) found.add(master.id);
  }
  return found;
}

/** What is done to all that is selected: its steps, what they would do, and the change itself. */
export function BatchPanel() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const selected = useWorkspace((state) => state.selected);
  const begin = useWorkspace((state) => state.batch?.begin);
  const fixes = useWorkspace((state) => state.batch?.fixes);
  const keys = useMemo(() => fixes?.flatMap((part) => part.keys) ?? selected, [fixes, selected]);
  const { commit } = useCommands();
  const state = useSnapshot((snapshot) => snapshot.state);
  const box = useRef<View>(null);
  const [listed, setListed] = useState<readonly ListedStep[]>([]);
  const [recipe, setRecipe] = useState<string>();
  const [scope, setScope] = useState<Scope>('this');
  const [scopes, setScopes] = useState<ReadonlyMap<string, Scope>>(new Map());
  const [without, setWithout] = useState(NONE);
  const [outcome, setOutcome] = useState<Outcome>('changed');
  const steps = useMemo(() => listed.map(({ step }) => step), [listed]);
  const options = useMemo(
    () => ({ scopeOf: (id: string) => scopes.get(id) ?? scope, without }),
    [scopes, scope, without],
  );
  const parts = useMemo(() => fixes ?? [{ keys, steps }], [fixes, keys, steps]);
  const hasSteps = fixes !== undefined || steps.length > 0;
  const title = (fixes ? checkWords.fixTitle : batchWords.title)(keys.length);
  const preview = useBatchPreview(parts, options, recipe);
  const series = useMemo(() => seriesAmong(state, keys.map(targetOfKey)), [state, keys]);
  const leave = () => workspace.leaveBatch();
  useBackCloses(leave);
  useEffect(() => {
    const opener = document.activeElement;
    const panel = box.current as unknown as HTMLElement | null;
    (panel?.querySelector<HTMLElement>('select, input') ?? panel?.querySelector('button'))?.focus();
    return () => {
      if (opener instanceof HTMLElement && opener.isConnected) opener.focus({ preventScroll: true });
    };
  }, []);
  const change = (next: readonly ListedStep[]) => {
    setRecipe(undefined);
    setListed(next);
  };
  const take = (name: string, taken: readonly BatchStep[]) => {
    setListed(taken.map((step) => ({ step })));
    setRecipe(name);
  };
  const go = () => {
    // Pressed again before the panel has gone, it would be done again.
    if (useWorkspace.getState().batch === null) return;
    if (preview.kind === 'done' && preview.report.counts.changed > 0 && commit(preview.patch)) leave();
  };
  return (
    <View
      ref={box}
      role="dialog"
      aria-label={title}
      testID="batch"
      {...webProps({
        onKeyDownCapture: (event) => {
          if (!isOwnKey(event)) return;
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) go();
        },
        onKeyDown: (event) => {
          if (event.key !== 'Escape' || !isOwnKey(event)) return;
          event.stopPropagation();
          leave();
        },
      })}
      style={[
        width >= WIDE ? styles.side : styles.full,
        { backgroundColor: colours.card, borderColor: colours.line },
      ]}
    >
      <PanelHead title={title} onClose={leave} />
      <ScrollView contentContainerStyle={styles.content} keyboardShouldPersistTaps="handled">
        <AppText tone="quiet">
          {fixes ? checkWords.fixIntro : keys.length === 0 ? batchWords.nothing : batchWords.intro}
        </AppText>
        {fixes ? <FixList fixes={fixes} /> : <StepList steps={listed} onChange={change} begin={begin} />}
        {series.size > 0 && hasSteps && !fixes ? (
          <ChoiceRow
            label={`${batchWords.scope.title}: ${batchWords.scope.hint(series.size)}`}
            choices={SCOPES.map((value) => ({ value, label: batchWords.scope[value] }))}
            value={scope}
            onChange={(next) => {
              setScope(next);
              setScopes(new Map());
            }}
          />
        ) : null}
        {hasSteps ? (
          <Preview
            preview={preview}
            outcome={outcome}
            setOutcome={setOutcome}
            without={without}
            setWithout={setWithout}
            onScope={(id, next) => setScopes(new Map([...scopes, [id, next]]))}
          />
        ) : null}
        {fixes ? null : <Recipes steps={steps} onTake={take} />}
      </ScrollView>
      <GoRow preview={preview} hasSteps={hasSteps} onGo={go} onLeave={leave} />
    </View>
  );
}

interface PreviewProps {
  preview: BatchPreview;
  outcome: Outcome;
  setOutcome: (outcome: Outcome) => void;
  without: ReadonlySet<string>;
  setWithout: (keys: ReadonlySet<string>) => void;
  onScope: (seriesId: string, scope: Scope) => void;
}

const OUTCOMES: readonly Outcome[] = ['changed', 'impossible', 'unchanged'];

/** What would change, what can't, and what would stay as it is. */
function Preview({ preview, outcome, setOutcome, without, setWithout, onScope }: PreviewProps) {
  const { colours } = useTheme();
  return (
    <View role="region" aria-label={said.title} style={styles.preview} testID="batch-preview">
      <TitleText>{said.title}</TitleText>
      {preview.kind === 'problem' ? (
        <AppText role="alert" tone="error">
          {problemText(preview.problem)}
        </AppText>
      ) : null}
      {preview.kind === 'failed' ? (
        <AppText role="alert" tone="error">
          {said.failed}
        </AppText>
      ) : null}
      {preview.kind === 'none' || preview.kind === 'working' ? (
        <AppText tone="quiet">{said.working}</AppText>
      ) : null}
      {preview.kind === 'done' ? (
        <>
          <View role="radiogroup" aria-label={said.title} style={styles.counts}>
            {OUTCOMES.map((each) => (
              <Button
                key={each}
                role="radio"
                label={said[each](preview.report.counts[each])}
                selected={each === outcome}
                onPress={() => setOutcome(each)}
                dense
                testID={`outcome-${each}`}
              />
            ))}
            {without.size > 0 ? (
              <Button kind="quiet" label={said.takenOut(without.size)} onPress={() => setWithout(NONE)} />
            ) : null}
          </View>
          {preview.overlaps && preview.overlaps.length > 0 ? (
            <NewOverlaps overlaps={preview.overlaps} />
          ) : null}
          <View style={{ borderColor: colours.line }}>
            <PreviewRows
              report={preview.report}
              outcome={outcome}
              onScope={onScope}
              onTakeOut={(key) => setWithout(new Set([...without, key]))}
            />
          </View>
        </>
      ) : null}
    </View>
  );
}

/** What does it, always in sight. */
function GoRow({
  preview,
  hasSteps,
  onGo,
  onLeave,
}: {
  preview: BatchPreview;
  hasSteps: boolean;
  onGo: () => void;
  onLeave: () => void;
}) {
  const { colours } = useTheme();
  const count = preview.kind === 'done' && hasSteps ? preview.report.counts.changed : 0;
  return (
    <View style={[styles.go, { borderColor: colours.line, backgroundColor: colours.card }]}>
      <Button
        kind="primary"
        label={count > 0 ? said.go(count) : words.desk.change}
        disabled={count === 0}
        onPress={onGo}
        testID="do-batch"
      />
      <Button label={said.leave} onPress={onLeave} />
      {preview.kind === 'working' ? (
        <AppText role="status" tone="quiet" figures>
          {`${preview.done} / ${preview.all}`}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  side: { width: sizes.editor, borderLeftWidth: hairline },
  full: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, zIndex: 20 },
  content: { padding: space(4), gap: space(4) },
  preview: { gap: space(3) },
  counts: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  go: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    padding: space(3),
    borderTopWidth: hairline,
  },
});
