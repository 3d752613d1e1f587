import { create } from 'zustand';

/** What a browser gives that can install an application (W3C, Web Application Manifest: incubations). */
interface InstallPrompt extends Event {
  prompt(): Promise<void>;
  readonly userChoice: Promise<{ readonly outcome: 'accepted' | 'dismissed' }>;
}

interface Installing {
  /** What asks the browser; null where it cannot, or where it is installed already. */
  readonly prompt: InstallPrompt | null;
}

const useInstalling = create<Installing>(() => ({ prompt: null }));

const isPrompt = (event: Event): event is InstallPrompt => 'prompt' in event;

/** Listens for the browser's offer. It is kept for when the person asks: nothing comes up over a job by itself. */
export function listenForInstall(): void {
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    if (isPrompt(event)) useInstalling.setState({ prompt: event });
  });
  window.addEventListener('appinstalled', () => useInstalling.setState({ prompt: null }));
}

/** Asks the browser to put Oilcan among the applications of the phone; null where it cannot. */
export function useInstall(): (() => void) | null {
  const prompt = useInstalling((state) => state.prompt);
  if (prompt === null) return null;
  return () => {
    // An offer can be taken up once; a refused one is not repeated.
    useInstalling.setState({ prompt: null });
    void prompt.prompt();
  };
}
