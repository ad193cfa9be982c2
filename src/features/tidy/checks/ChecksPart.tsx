import { useRouter } from 'expo-router';
import { type KeyboardEvent, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { settleFindings, unsettleFindings } from '@/core/change/fineChanges';
import { targetOfKey } from '@/core/change/target';
import { CHECKS, type CheckName, type Finding } from '@/core/tidy/checks/finding';
import { fixPlan } from '@/core/tidy/checks/fixPlan';
import type { TidyLook } from '@/core/tidy/tidyLook';
import { PLACE_PATHS, useCommands, workspace } from '@/features/workspace';
import { type ChecksProgress, useCalendars, useOpenStore } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Progress } from '@/ui/primitives/Progress';
import { space, WIDE } from '@/ui/theme/tokens';
import { checkWords as said } from '@/ui/words/checks';
import { useTableQuery } from '../useTableQuery';
import type { useTidyAddress } from '../useTidyAddress';
import { CheckGroup } from './CheckGroup';
import { ChecksTools } from './ChecksTools';
import type { FindingDeed } from './FindingRow';
import { noteFindings } from './noteFindings';
import { useFindings } from './useFindings';
import { useReasons } from './useReasons';

/** How many findings of a check are shown at first, and how many more at each press. */
const PAGE = 6;
const MORE = 30;
const NONE: ReadonlySet<string> = new Set();
const KEYS: Readonly<Partial<Record<string, FindingDeed>>> = {
  f: 'fix',
  k: 'keep',
  s: 'skip',
  enter: 'open',
};
const STEPS: Readonly<Partial<Record<string, number>>> = { ArrowDown: 1, ArrowUp: -1 };

interface ChecksPartProps {
  look: TidyLook;
  show: ReturnType<typeof useTidyAddress>['show'];
}

/** What the checks found, the weightiest first: each is fixed, left as it is, skipped or opened. */
export function ChecksPart({ look, show }: ChecksPartProps) {
  const table = useTableQuery(look);
  const isNarrowed = look.among === 'table';
  const { findings, counts, total, fine, isKnown, isLooking, isStopped, progress, stop, failed, retry } =
    useFindings(isNarrowed ? table : undefined);
  const { store } = useOpenStore();
  const { context } = useCommands();
  useEffect(() => {
    if (isKnown && !isLooking && !isNarrowed) noteFindings(store, total, context());
  }, [isKnown, isLooking, isNarrowed, total, store, context]);
  const [skipped, setSkipped] = useState(NONE);
  const [pages, setPages] = useState<ReadonlyMap<CheckName, number>>(new Map());
  const [activeId, setActive] = useState<string>();
  const { width } = useWindowDimensions();
  const list = useRef<HTMLDivElement>(null);
  const reasonOf = useReasons();
  const { deedOf, calendarOf, keep, fix, lookAgain } = useFindingDeeds(reasonOf);
  const left = findings.filter(({ id }) => !skipped.has(id));
  const groups = CHECKS.flatMap((check) => {
    const own = left.filter((finding) => finding.check === check);
    const listed = findings.filter((finding) => finding.check === check).length;
    const shown = own.slice(0, pages.get(check) ?? PAGE);
    return own.length > 0
      ? [{ check, own, shown, notListed: Math.max(0, (counts[check] ?? 0) - listed) }]
      : [];
  });
  const shown = groups.flatMap((group) => group.shown);
  const safe = left.filter(({ isSafe }) => isSafe);
  const tabbable = shown.find(({ id }) => id === activeId) ?? shown[0];
  const focusAt = (index: number) => {
    const rows = list.current?.querySelectorAll<HTMLElement>('[data-finding]') ?? [];
    rows[Math.max(0, Math.min(rows.length - 1, index))]?.focus();
  };
  const place = useRef(0);
  useLayoutEffect(() => {
    const at = shown.findIndex(({ id }) => id === activeId);
    if (at !== -1) place.current = at;
    // What was dealt with has taken the focus with it: it goes to what stands in its place.
    else if (activeId !== undefined && document.activeElement === document.body) focusAt(place.current);
  });
  const act = (deed: FindingDeed, finding: Finding) => {
    if (deed === 'skip') setSkipped(new Set([...skipped, finding.id]));
    else deedOf[deed](finding);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const row = event.target instanceof HTMLElement ? event.target.dataset.finding : undefined;
    const index = shown.findIndex(({ id }) => id === row);
    const finding = shown[index];
    if (!finding || event.ctrlKey || event.metaKey || event.altKey) return;
    const step = STEPS[event.key];
    const deed = KEYS[event.key.toLowerCase()];
    if (step !== undefined) focusAt(index + step);
    else if (deed && (deed !== 'fix' || finding.fix)) act(deed, finding);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const tools = <ChecksTools look={look} show={show} />;
  if (failed || isStopped)
    return (
      <View style={styles.part}>
        {tools}
        <View role={failed ? 'alert' : 'status'} style={styles.state}>
          <AppText>{failed ? said.failed : said.stopped}</AppText>
          <Button label={failed ? said.retry : said.look} onPress={retry} />
        </View>
      </View>
    );
  return (
    <ScrollView contentContainerStyle={styles.part} testID="checks">
      {tools}
      {progress ? <ChecksRun progress={progress} onStop={stop} /> : null}
      <View style={styles.head}>
        <AppText role="status" weight="500" figures style={styles.grow}>
          {!isKnown
            ? said.looking
            : [
                left.length > 0
                  ? said.left(left.length)
                  : skipped.size + fine === 0
                    ? isNarrowed
                      ? said.noneHere
                      : said.none
                    : said.noneLeft,
                skipped.size > 0 ? said.skipped(skipped.size) : '',
                fine > 0 ? said.fine(fine) : '',
              ]
                .filter(Boolean)
                .join(' · ')}
        </AppText>
        {skipped.size > 0 ? (
          <Button kind="quiet" label={said.showSkipped} onPress={() => setSkipped(NONE)} />
        ) : null}
        {fine > 0 ? <Button kind="quiet" label={said.lookAgain} onPress={lookAgain} /> : null}
        {safe.length > 0 ? (
          <Button
            kind="primary"
            label={said.fixSafe(safe.length)}
            onPress={() => fix(safe)}
            testID="fix-safe"
          />
        ) : null}
      </View>
      {shown.length > 0 && width >= WIDE ? (
        <AppText size="small" tone="quiet">
          {said.keys}
        </AppText>
      ) : null}
      <div ref={list} onKeyDown={onKeyDown} style={{ display: 'contents' }}>
        {groups.map(({ check, own, shown: listed, notListed }) => {
          const fixable = own.filter((finding) => finding.fix);
          return (
            <CheckGroup
              key={check}
              check={check}
              shown={listed}
              count={own.length}
              notListed={notListed}
              fixable={fixable.length}
              tabbableId={tabbable?.id}
              reasonOf={reasonOf}
              calendarOf={calendarOf}
              onFocus={setActive}
              onDo={act}
              onMore={() => setPages(new Map([...pages, [check, (pages.get(check) ?? PAGE) + MORE]]))}
              onFixAll={() => fix(fixable)}
              onKeepAll={() => keep(own, said.checks[check].name)}
            />
          );
        })}
      </div>
    </ScrollView>
  );
}

/** How far the checks are, and a way to stop them. */
function ChecksRun({ progress: { done, total }, onStop }: { progress: ChecksProgress; onStop: () => void }) {
  return (
    <View style={styles.run}>
      <View style={styles.grow}>
        <Progress label={said.looking} done={done} total={total} count={said.progress(done, total)} />
      </View>
      <Button label={said.stop} onPress={onStop} />
    </View>
  );
}

/** What is done with findings, and the calendar that each is about first. */
function useFindingDeeds(reasonOf: (finding: Finding) => string) {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const calendars = useCalendars();
  const router = useRouter();
  const state = () => store.getSnapshot().state;
  const calendarOf = ({ keys, calendarIds }: Finding) => {
    const [key] = keys;
    const id = key === undefined ? calendarIds[0] : state().entries.get(targetOfKey(key).entryId)?.calendarId;
    return calendars.find((calendar) => calendar.id === id);
  };
  const keep = (findings: readonly Finding[], name: string) =>
    commit(
      settleFindings(
        state(),
        findings.map(({ id }) => id),
        name,
        context(),
      ),
    );
  const fix = (findings: readonly Finding[]) => workspace.beginFixes(fixPlan(findings));
  return {
    calendarOf,
    keep,
    fix,
    lookAgain: () => {
      const patch = unsettleFindings(state(), context());
      if (patch) commit(patch);
    },
    deedOf: {
      fix: (finding: Finding) => fix([finding]),
      keep: (finding: Finding) => keep([finding], reasonOf(finding)),
      open: ({ keys, calendarIds }: Finding) => {
        const [key] = keys;
        if (key !== undefined) workspace.select(key);
        else router.navigate({ pathname: PLACE_PATHS.setup, params: { calendar: calendarIds[0] } });
      },
    },
  };
}

const styles = StyleSheet.create({
  part: { gap: space(3), paddingBottom: space(4) },
  run: { flexDirection: 'row', alignItems: 'center', gap: space(3) },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  grow: { flexGrow: 1, flexShrink: 1 },
  state: { alignItems: 'center', gap: space(3), padding: space(4) },
});
