import { useRouter } from 'expo-router';
import type { ComponentProps, ReactElement } from 'react';
import { Press } from './press';
import { isOutside } from './touchable';

interface Props extends Omit<ComponentProps<typeof Press>, 'onPress' | 'role' | 'href'> {
  /** A path of the application, or an address that the device opens, such as `tel:`. */
  readonly href: string;
  /** What is done besides going there. */
  readonly onPress?: () => void;
  /** How it is gone there, where that is not by the router: beside a list on a wide screen. */
  readonly onGo?: () => void;
}

/** What is pressed to go somewhere: a real link, so that it can be followed by keys, copied, and opened in a window of its own. */
export function LinkPress({ href, onPress, onGo, ...rest }: Props): ReactElement {
  const router = useRouter();
  const go = (): void => {
    onPress?.();
    if (onGo !== undefined) onGo();
    else if (!isOutside(href)) router.navigate(href);
  };
  return <Press {...rest} role="link" href={href} onPress={go} />;
}
