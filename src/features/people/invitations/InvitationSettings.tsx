import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import type { Settings } from '@/core/model/settings';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { invitationWords } from '@/ui/words/invitations';
import { isAddress } from '@/core/model/emailAddress';

const said = invitationWords.settings;

/** How others know one, and what becomes of invitations. */
export function InvitationSettings() {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { addresses, dropsDeclined, onlineWithGuests } = useSettings();
  const [name, setName] = useState(addresses?.name ?? '');
  const [email, setEmail] = useState(addresses?.email ?? '');
  const [isWrong, setWrong] = useState(false);
  const change = (fields: Partial<Settings>) =>
    commit(changeSettings(store.getSnapshot().state, fields, context()));
  const save = () => {
    const isRight = email.trim() === '' || isAddress(email);
    setWrong(!isRight);
    if (isRight) change({ addresses: { phone: '', ...addresses, email: email.trim(), name: name.trim() } });
  };
  return (
    <View style={styles.settings} testID="invitation-settings">
      <AppText tone="quiet">{said.about}</AppText>
      <View style={styles.row}>
        <View style={styles.field}>
          <TextField label={said.name} value={name} onChangeText={setName} maxLength={200} onSubmit={save} />
        </View>
        <View style={styles.field}>
          <TextField
            label={said.email}
            value={email}
            onChangeText={setEmail}
            maxLength={254}
            onSubmit={save}
            error={isWrong ? said.emailWrong : undefined}
          />
        </View>
      </View>
      <Button label={said.save} onPress={save} style={styles.start} />
      <Check
        label={said.trace}
        checked={dropsDeclined !== true}
        onChange={(stays) => change({ dropsDeclined: stays ? undefined : true })}
      />
      <Check
        label={said.online}
        checked={onlineWithGuests === true}
        onChange={(isOn) => change({ onlineWithGuests: isOn ? true : undefined })}
      />
      <AppText size="small" tone="quiet">
        {invitationWords.relayAbout}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  settings: { gap: space(2) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) },
  field: { flexGrow: 1, flexBasis: 220 },
  start: { alignSelf: 'flex-start' },
});
