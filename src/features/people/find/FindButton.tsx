import { useRouter } from 'expo-router';
import { StyleSheet } from 'react-native';
import type { CalendarUser } from '@/core/model/calendarUser';
import { personOfAddress } from '@/core/people/peopleInOrder';
import { usePeople } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { peopleWords } from '@/ui/words/people';
import { PLACE_PATHS } from '@/features/workspace';

/** Looks for a time that suits the guests of something, as far as they are known. */
export function FindButton({ guests, about }: { guests: readonly CalendarUser[]; about: string }) {
  const people = usePeople();
  const router = useRouter();
  const chosen = guests.flatMap(({ address }) => personOfAddress(people, address)?.id ?? []);
  if (chosen.length === 0) return null;
  return (
    <Button
      icon="clock-outline"
      label={peopleWords.findAnother}
      style={styles.start}
      onPress={() =>
        router.navigate({
          pathname: PLACE_PATHS.people,
          params: { chosen: chosen.join(','), finding: '1', about },
        })
      }
    />
  );
}

const styles = StyleSheet.create({ start: { alignSelf: 'flex-start' } });
