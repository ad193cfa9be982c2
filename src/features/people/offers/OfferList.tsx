import { StyleSheet, View } from 'react-native';
import { endOffer } from '@/core/change/offers/offerChanges';
import type { Offer } from '@/core/model/offer';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { CopiedText } from '@/features/publish';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings, useSnapshot } from '@/store';
import { dayText, shortDayText, timeRangeText, timeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { offerWords as said } from '@/ui/words/offers';

/** The times that one offers, and which of them were chosen. */
export function OfferList() {
  const offers = useSnapshot(({ state }) => state.offers);
  if (offers.size === 0) return null;
  return (
    <View role="group" aria-label={said.offers} style={styles.list} testID="offers">
      <TitleText level={2} size="large">
        {said.offers}
      </TitleText>
      {[...offers.values()]
        .sort((a, b) => b.made - a.made)
        .map((offer) => (
          <Offered key={offer.id} offer={offer} />
        ))}
    </View>
  );
}

function Offered({ offer }: { offer: Offer }) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { title, times, chosen, expires, isSent, address } = offer;
  const wall = (instant: number) => instantToWall(homeZone, instant);
  const dayOf = (instant: number) => Math.floor(wall(instant) / DAY);
  const taken = chosen && times.find(({ start }) => start === chosen.start);
  const end = () => {
    const patch = endOffer(store.getSnapshot().state, offer.id, context());
    if (patch) commit(patch);
  };
  return (
    <View
      role="group"
      aria-label={title}
      style={[styles.offer, { borderColor: colours.line, backgroundColor: colours.card }]}
    >
      <AppText weight="700">{title}</AppText>
      {chosen && taken ? (
        <AppText>
          {said.chose(
            chosen.name,
            `${dayText(dayOf(taken.start))}, ${timeRangeText(wall(taken.start), wall(taken.end))}`,
          )}
        </AppText>
      ) : (
        <>
          <AppText size="small" tone="quiet" figures>
            {[
              ...times.map(({ start }) => `${shortDayText(dayOf(start))} ${timeText(wall(start))}`),
              said.until(`${shortDayText(dayOf(expires))}, ${timeText(wall(expires))}`),
            ].join(' · ')}
          </AppText>
          {isSent ? (
            <CopiedText label={said.address} text={`${window.location.origin}/o/${address.token}`}>
              <Button
                icon="open-in-new"
                label={said.open}
                onPress={() => window.open(`/o/${address.token}`, '_blank', 'noopener')}
              />
            </CopiedText>
          ) : (
            <AppText size="small" role="status">
              {said.notThere}
            </AppText>
          )}
        </>
      )}
      <View style={styles.actions}>
        <Button label={chosen ? said.close : said.letGo} onPress={end} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(2) },
  offer: { gap: space(2), padding: space(3), borderWidth: hairline, borderRadius: corner },
  actions: { flexDirection: 'row', gap: space(2) },
});
