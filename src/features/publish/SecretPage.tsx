import { dateString, DAY } from '@/core/time/civil';
import { useOpenStore, useSettings } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { exchangeWords } from '@/ui/words/exchange';
import { CopiedText } from './CopiedText';

const said = exchangeWords.publish;

/** Where a copy is served. */
export const pageOf = (token: string): string => `${window.location.origin}/p/${token}`;

/** The secret addresses at which a copy is read, as a page and as a feed: to copy and to open. */
export function SecretPage({ token }: { token: string }) {
  const { clock } = useOpenStore();
  const { demoNow } = useSettings();
  const page = pageOf(token);
  // The demo has a clock of its own, which the server does not go by.
  const shown = demoNow ? `${page}?from=${dateString(Math.floor(clock() / DAY))}` : page;
  return (
    <>
      <CopiedText label={said.address} text={page}>
        <Button
          icon="open-in-new"
          label={said.open}
          onPress={() => window.open(shown, '_blank', 'noopener')}
        />
      </CopiedText>
      <CopiedText label={said.feedAddress} text={`${page}.ics`} />
    </>
  );
}
