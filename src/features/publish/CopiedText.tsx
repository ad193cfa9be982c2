import { type ReactNode, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, space } from '@/ui/theme/tokens';
import { webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';

const said = exchangeWords.publish;

/** A text to copy, in full. */
export function CopiedText({ label, text, children }: { label: string; text: string; children?: ReactNode }) {
  const { colours } = useTheme();
  const [isCopied, setIsCopied] = useState(false);
  return (
    <View role="group" aria-label={label} style={styles.copied}>
      <AppText size="small" tone="quiet">
        {label}
      </AppText>
      <AppText
        size="small"
        selectable
        style={[styles.text, webStyle({ overflowWrap: 'anywhere' }), { backgroundColor: colours.page }]}
      >
        {text}
      </AppText>
      <View style={styles.actions}>
        <Button
          icon="content-copy"
          label={said.copy(label.toLowerCase())}
          shown={isCopied ? said.copied : words.actions.copy}
          onPress={() => void navigator.clipboard.writeText(text).then(() => setIsCopied(true))}
        />
        {children}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  copied: { gap: space(1), alignSelf: 'stretch' },
  text: { padding: space(2), borderRadius: corner },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
