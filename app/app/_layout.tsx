import { Slot } from 'expo-router';
import { useEffect, type ReactElement } from 'react';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { keepApplication } from '../src/data/application-update';
import { listenForInstall } from '../src/data/install';
import { openPhone, usePhone } from '../src/data/store';
import { undoOfNotice } from '../src/data/undo';
import { NoticeBar } from '../src/ui/notice';
import { ThemeProvider } from '../src/ui/theme';

export { FailedScreen as ErrorBoundary } from '../src/ui/failed-screen';

export default function RootLayout(): ReactElement {
  const isAtWork = usePhone(({ person }) => person !== null);
  useEffect(() => {
    void openPhone();
    keepApplication();
    listenForInstall();
  }, []);
  return (
    <SafeAreaProvider>
      <ThemeProvider>
        <Slot />
        <NoticeBar undoOf={undoOfNotice} isAtWork={isAtWork} />
      </ThemeProvider>
    </SafeAreaProvider>
  );
}
