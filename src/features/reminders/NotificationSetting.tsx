import { useState } from 'react';
import { View } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { words } from '@/ui/words';

/** Asks the browser to show reminders as notifications too. */
export function NotificationSetting() {
  const [permission, setPermission] = useState(() =>
    typeof Notification === 'undefined' ? 'denied' : Notification.permission,
  );
  if (permission === 'granted') return <AppText tone="quiet">{words.reminder.allowed}</AppText>;
  if (permission === 'denied') return <AppText tone="quiet">{words.reminder.denied}</AppText>;
  return (
    <View style={{ flexDirection: 'row' }}>
      <Button
        icon="bell-outline"
        label={words.reminder.allow}
        onPress={() => void Notification.requestPermission().then(setPermission)}
      />
    </View>
  );
}
