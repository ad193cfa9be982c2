import { useCallback, useEffect, useId, useRef, useState, type RefObject } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { type SearchAnswer, type SearchField, type SearchHit } from '@/core/search/entrySearch';
import { usePlanAddress, useReveal, workspace } from '@/features/workspace';
import { useCalendars, useOpenStore, useSearch } from '@/store';
import { useBackCloses } from '@/ui/backCloses';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { TextField } from '@/ui/primitives/TextField';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { SearchHitRow } from './SearchHitRow';
import { SEARCHED_FIELDS } from '@/core/fields/fieldsOf';

/** How many of the found entries are listed at first, and how many more at a press. */
const PAGE = 40;

/**
 * Search over all entries, in the desk's place. The arrow keys walk the results from the field, and the view follows; on a
 * phone, where it covers the view, a press goes there.
 */
export function SearchPanel({ beside, wide }: { beside: boolean; wide: boolean }) {
  const { colours } = useTheme();
  const { store } = useOpenStore();
  const { address } = usePlanAddress();
  const [text, setText] = useState('');
  const [field, setField] = useState<SearchField | undefined>(undefined);
  const [activeKey, setActiveKey] = useState<string | undefined>(undefined);
  const [limit, setLimit] = useState(PAGE);
  const { answer, failed } = useSearch(text, field, address.zone, limit);
  const list = useRef<View>(null);
  const id = useId();
  useEffect(() => void store.engine.prepareSearch(), [store]);
  useEffect(() => {
    (list.current as unknown as HTMLElement | null)
      ?.querySelector('[aria-selected="true"]')
      ?.scrollIntoView({ block: 'nearest' });
  }, [activeKey]);

  const hits = answer?.hits ?? [];
  const active = hits.findIndex(({ key }) => key === activeKey);
  const close = () => workspace.search(false);
  useBackCloses(close, !wide);
  const reveal = useReveal();
  const show = useCallback(
    (hit: SearchHit) => {
      const { key } = hit;
      setActiveKey(key);
      reveal(key, { quietly: true });
      // On a wide screen the search stays beside what it found.
      workspace.search(wide);
    },
    [reveal, wide],
  );
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      event.preventDefault();
      event.stopPropagation();
      if (text === '') close();
      else setText('');
      return;
    }
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by === undefined || hits.length === 0) return;
    event.preventDefault();
    event.stopPropagation();
    const next = hits[Math.min(hits.length - 1, Math.max(0, active + by))];
    // A to-do opens over everything: it waits for Enter.
    if (next && wide && next.kind === 'event') show(next);
    else if (next) setActiveKey(next.key);
  };
  const groups = SEARCHED_FIELDS.filter((name) => (answer?.counts[name] ?? 0) > 0 || name === field);
  return (
    <View
      role={'search' as never}
      aria-label={words.search.open}
      testID="search"
      style={[
        styles.panel,
        wide ? styles.side : styles.cover,
        wide && !beside ? [styles.over, webStyle({ boxShadow: '-6px 0 24px rgba(0,0,0,0.2)' })] : null,
        { backgroundColor: colours.card, borderColor: colours.line },
      ]}
      {...webProps({ onKeyDownCapture: onKeyDown })}
    >
      <PanelHead title={words.search.open} onClose={close} />
      <SearchHead
        text={text}
        setText={setText}
        setField={setField}
        setLimit={setLimit}
        hits={hits}
        active={active}
        show={show}
        id={id}
        groups={groups}
        answer={answer}
        field={field}
        failed={failed}
      />
      <Hits
        list={list}
        id={id}
        text={text}
        hits={hits}
        active={active}
        show={show}
        answer={answer}
        setLimit={setLimit}
        limit={limit}
      />
    </View>
  );
}

interface WordsFieldProps {
  text: string;
  setText: (text: string) => void;
  setField: (field: SearchField | undefined) => void;
  setLimit: (limit: number) => void;
  hits: readonly SearchHit[];
  active: number;
  show: (hit: SearchHit) => void;
  id: string;
}

interface SearchHeadProps extends WordsFieldProps {
  groups: readonly SearchField[];
  answer: SearchAnswer | undefined;
  field: SearchField | undefined;
  failed: boolean;
}

/** What is searched for, and how much is found where. */
function SearchHead({ groups, answer, field, failed, ...typed }: SearchHeadProps) {
  const { text, setField } = typed;
  return (
    <View style={styles.field}>
      <WordsField {...typed} />
      {groups.length > 0 && text !== '' ? (
        <Groups groups={groups} answer={answer} field={field} setField={setField} />
      ) : null}
      <AppText role="status" size="small" tone={failed ? 'error' : 'quiet'}>
        {failed
          ? words.search.failed
          : text.trim() === ''
            ? words.search.hint
            : !answer
              ? words.search.looking
              : [
                  answer.total === 0 ? words.search.nothing : words.search.total(answer.total),
                  ...answer.problems.map(words.search.problem),
                ].join(' ')}
      </AppText>
    </View>
  );
}

/** What is searched for. */
function WordsField({ text, setText, setField, setLimit, hits, active, show, id }: WordsFieldProps) {
  return (
    <TextField
      label={words.search.label}
      value={text}
      placeholder={words.search.placeholder}
      onChangeText={(next) => {
        setText(next);
        setField(undefined);
        setLimit(PAGE);
      }}
      onSubmit={() => {
        const chosen = hits[Math.max(0, active)];
        if (chosen) show(chosen);
      }}
      combobox={{ list: `${id}-list`, active: active < 0 ? undefined : `${id}-${active}` }}
      autoFocus
      maxLength={200}
      testID="search-field"
    />
  );
}

/** Where the words were found, to show those alone. */
function Groups({
  groups,
  answer,
  field,
  setField,
}: {
  groups: readonly SearchField[];
  answer: SearchAnswer | undefined;
  field: SearchField | undefined;
  setField: (value: SearchField | undefined) => void;
}) {
  return (
    <View role="group" aria-label={words.search.groups} style={styles.groups}>
      {groups.map((name) => (
        <Button
          key={name}
          label={words.search.foundIn(words.fields[name], answer?.counts[name] ?? 0)}
          selected={field === name}
          onPress={() => setField(field === name ? undefined : name)}
        />
      ))}
    </View>
  );
}

/** What was found. */
function Hits({
  list,
  id,
  text,
  hits,
  active,
  show,
  answer,
  setLimit,
  limit,
}: {
  list: RefObject<View | null>;
  id: string;
  text: string;
  hits: readonly SearchHit[];
  active: number;
  show: (hit: SearchHit) => void;
  answer: SearchAnswer | undefined;
  setLimit: (next: number) => void;
  limit: number;
}) {
  const calendars = useCalendars();
  return (
    <ScrollView tabIndex={0} style={styles.list}>
      <View ref={list} role={'listbox' as never} id={`${id}-list`} aria-label={words.search.results}>
        {text.trim() === ''
          ? null
          : hits.map((hit, index) => (
              <SearchHitRow
                key={hit.key}
                id={`${id}-${index}`}
                hit={hit}
                calendar={calendars.find((calendar) => calendar.id === hit.calendarId)}
                active={index === active}
                onShow={show}
              />
            ))}
      </View>
      {text.trim() !== '' && answer && answer.total > hits.length ? (
        <Button
          label={words.search.more(Math.min(PAGE, answer.total - hits.length))}
          onPress={() => setLimit(limit + PAGE)}
          style={styles.more}
        />
      ) : null}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  panel: { borderLeftWidth: hairline },
  side: { width: sizes.desk },
  over: { position: 'absolute', right: 0, top: 0, bottom: 0, zIndex: 10 },
  cover: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, zIndex: 20 },
  field: { padding: space(3), gap: space(2) },
  groups: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  list: { flex: 1 },
  more: { margin: space(3) },
});
