import { useRouter } from 'expo-router';
import { Banner } from '@/ui/primitives/Banner';
import { words } from '@/ui/words';
import { PLACE_PATHS } from '@/features/workspace';

/** Says that entries can't be shown in whole, wherever they are, with the way to them. */
export function TroubleBanner({ count }: { count: number }) {
  const router = useRouter();
  if (count === 0) return null;
  const see = () => {
    const params = Object.fromEntries(new URLSearchParams(window.location.search));
    router.push({ pathname: PLACE_PATHS.setup, params: { ...params, section: 'aside' } });
  };
  return (
    <Banner
      icon="alert-circle-outline"
      tone="error"
      testID="trouble-banner"
      action={{ label: words.plan.seeTroubled, onPress: see }}
    >
      {words.plan.troubled(count)}
    </Banner>
  );
}
