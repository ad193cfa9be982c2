import { useGlobalSearchParams } from 'expo-router';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { setupWords } from '@/ui/words/setup';
import type { SectionId } from './sectionId';

const sectionOf = (list: HTMLElement | null, id: SectionId): HTMLElement | null =>
  list?.querySelector<HTMLElement>(`#section-${id}`) ?? null;

/** The parts of sections come one after the other within so many milliseconds. */
const SETTLES_WITHIN = 2_000;

/** Brings a section into sight, and again while what comes above it moves it, unless one goes elsewhere meanwhile. */
function keepInSight(section: HTMLElement, list: HTMLElement): void {
  const gone = new AbortController();
  const observer = new ResizeObserver(() => {
    if (document.activeElement === section) section.scrollIntoView({ block: 'start' });
    else gone.abort();
  });
  gone.signal.addEventListener('abort', () => observer.disconnect());
  for (const move of ['wheel', 'touchmove', 'keydown'])
    window.addEventListener(move, () => gone.abort(), { once: true, passive: true, signal: gone.signal });
  section.scrollIntoView({ block: 'start' });
  observer.observe(list);
  setTimeout(() => gone.abort(), SETTLES_WITHIN);
}

/** The section that is read, while the index stands beside the sections. */
function useCurrentSection(
  ids: readonly SectionId[],
  beside: boolean,
  list: RefObject<HTMLElement | null>,
): [SectionId, (id: SectionId) => void] {
  const [current, setCurrent] = useState<SectionId>('calendars');
  const key = ids.join();
  useEffect(() => {
    if (!beside) return;
    const inSight = new Set<Element>();
    const observer = new IntersectionObserver(
      (changes) => {
        for (const { target, isIntersecting } of changes)
          if (isIntersecting) inSight.add(target);
          else inSight.delete(target);
        const first = ids.find((id) => inSight.has(sectionOf(list.current, id)!));
        if (first) setCurrent(first);
      },
      // What has its head above the middle of the window is the one that is read.
      { rootMargin: '-10% 0px -60% 0px' },
    );
    for (const id of ids) {
      const section = sectionOf(list.current, id);
      if (section) observer.observe(section);
    }
    return () => observer.disconnect();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the list of ids
  }, [beside, key, list]);
  return [current, setCurrent];
}

interface SectionIndexProps {
  ids: readonly SectionId[];
  beside: boolean;
  list: RefObject<HTMLElement | null>;
}

/** The sections of Setup: a press goes to one. Beside them, it also says which one is in sight. */
export function SectionIndex({ ids, beside, list }: SectionIndexProps) {
  const [current, setCurrent] = useCurrentSection(ids, beside, list);
  const goTo = (id: SectionId) => {
    const section = sectionOf(list.current, id);
    if (!section) return;
    section.focus({ preventScroll: true });
    keepInSight(section, list.current!);
    setCurrent(id);
  };
  const { section } = useGlobalSearchParams<{ section?: string }>();
  const asked = ids.find((id) => id === section);
  const go = useRef(goTo);
  useEffect(() => {
    go.current = goTo;
  });
  useEffect(() => {
    if (!asked) return;
    go.current(asked);
  }, [asked]);
  const buttons = ids.map((id) => (
    <Button
      key={id}
      role="link"
      kind={beside && id === current ? 'plain' : 'quiet'}
      label={setupWords.sections[id]}
      align={beside ? 'start' : 'middle'}
      onPress={() => goTo(id)}
    />
  ));
  return (
    <View role="navigation" aria-label={setupWords.index} style={beside ? styles.beside : null}>
      {beside ? (
        buttons
      ) : (
        <ScrollView horizontal showsHorizontalScrollIndicator={false}>
          {buttons}
        </ScrollView>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  beside: { width: 180, paddingTop: 76, paddingLeft: space(4), gap: space(1) },
});
