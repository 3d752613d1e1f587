import { useState } from 'react';
import { useKeptVoice, type KeptVoice } from '../../../data/files/use-kept-voice';
import { useOnce } from '../../../ui/state/use-once';

interface SaidAloud {
  readonly voice: ReturnType<typeof useKeptVoice>;
  /** What was spoken and is not sent yet. */
  readonly said: KeptVoice | null;
  /** Sends it if there is any; done either way. */
  readonly sendSaid: () => void;
}

/**
 * A voice note that goes beside what is written, as an operation of its own.
 *
 * @param send tells whether it was taken; if not, it can be sent again
 */
export function useSaidAloud(send: (voice: KeptVoice) => Promise<boolean>, onDone: () => void): SaidAloud {
  const [said, setSaid] = useState<KeptVoice | null>(null);
  const voice = useKeptVoice(setSaid);
  const once = useOnce();
  const sendSaid = (): void =>
    once(async () => {
      const isSent = said === null || (await send(said));
      if (isSent) onDone();
      return isSent;
    });
  return { voice, said, sendSaid };
}
