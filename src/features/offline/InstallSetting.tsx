import { useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { offlineWords as said } from '@/ui/words/offline';
import { keptApplication } from './newVersion';

/** Whether the application opens without the network, and the offer to install it where the browser can. */
export function InstallSetting() {
  const { isKept, install } = useSyncExternalStore(keptApplication.subscribe, keptApplication.get);
  return (
    <>
      <AppText tone="quiet" testID="kept-offline">
        {isKept ? said.kept : said.notKept}
      </AppText>
      {install ? (
        <View style={{ flexDirection: 'row' }}>
          <Button label={said.install} onPress={install} />
        </View>
      ) : null}
    </>
  );
}
