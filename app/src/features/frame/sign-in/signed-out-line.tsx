import { useEffect, type ReactElement } from 'react';
import { View } from 'react-native';
import { retryDelay } from '@oilcan/core/sync';
import { tellSignedOut, usePhone } from '../../../data/store/store';
import { AppText } from '../../../ui/theme/app-text';

/** Somebody signed out here without signal: says so until the server has heard of it, and tells it as soon as it can. */
export function SignedOutLine(): ReactElement | null {
  const name = usePhone((state) => state.signedOutUnheard);
  useEffect(() => {
    if (name === null) return undefined;
    let failures = 0;
    let next: ReturnType<typeof setTimeout> | undefined;
    let isOver = false;
    const tell = async (): Promise<void> => {
      clearTimeout(next);
      if ((await tellSignedOut()) || isOver) return;
      failures += 1;
      next = setTimeout(() => void tell(), retryDelay(failures, Math.random()));
    };
    const atOnce = (): void => void tell();
    atOnce();
    window.addEventListener('online', atOnce);
    return () => {
      isOver = true;
      clearTimeout(next);
      window.removeEventListener('online', atOnce);
    };
  }, [name]);
  if (name === null) return null;
  return (
    <View role="status">
      <AppText>
        {name} is signed out on this phone. The server will hear of it when there is signal; keep this page open, or
        sign in here.
      </AppText>
    </View>
  );
}
