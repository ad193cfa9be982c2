import { useState } from 'react';
import { View } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { reminderWords } from '@/ui/words/reminders';

/** Asks the browser to show reminders as notifications too. */
export function NotificationSetting() {
  const [permission, setPermission] = useState(() =>
    typeof Notification === 'undefined' ? 'denied' : Notification.permission,
  );
  if (permission === 'granted') return <AppText tone="quiet">{reminderWords.allowed}</AppText>;
  if (permission === 'denied') return <AppText tone="quiet">{reminderWords.denied}</AppText>;
  return (
    <View style={{ flexDirection: 'row' }}>
      <Button
        icon="bell-outline"
        label={reminderWords.allow}
        onPress={() => void Notification.requestPermission().then(setPermission)}
      />
    </View>
  );
}
