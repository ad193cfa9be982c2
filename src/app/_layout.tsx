import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Slot } from 'expo-router';
import { useState } from 'react';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { AppShell, StoreGate } from '@/features/shell';
import { installSpacePresses } from '@/ui/spacePresses';
import { installPageStyle } from '@/ui/theme/fonts';
import { beginScheme } from '@/ui/theme/scheme';
import { ThemeProvider } from '@/ui/theme/theme';

installPageStyle(document);
beginScheme(document);
installSpacePresses(document);

/** What every place stands in: the theme, the data and the shell. */
export default function RootLayout() {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: { queries: { retry: false, networkMode: 'always', refetchOnWindowFocus: false } },
      }),
  );
  return (
    <SafeAreaProvider>
      <QueryClientProvider client={client}>
        <ThemeProvider>
          <StoreGate>
            <AppShell>
              <Slot />
            </AppShell>
          </StoreGate>
        </ThemeProvider>
      </QueryClientProvider>
    </SafeAreaProvider>
  );
}
