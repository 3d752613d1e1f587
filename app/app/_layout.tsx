import { Slot } from 'expo-router';
import { useEffect, type ReactElement } from 'react';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { keepApplication } from '../src/data/browser/application-update';
import { listenForInstall } from '../src/data/browser/install';
import { openPhone, usePhone } from '../src/data/store/store';
import { undoOfNotice } from '../src/data/store/undo';
import { NoticeBar } from '../src/ui/layout/notice';
import { ThemeProvider } from '../src/ui/theme/theme';

export { FailedScreen as ErrorBoundary } from '../src/ui/loading/failed-screen';

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
