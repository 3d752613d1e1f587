import { useEffect, useRef, useState } from 'react';

/** What of the Web Speech API is used here (W3C community draft); not every browser has it. */
interface Recognition {
  lang: string;
  onresult: ((event: { readonly results: ArrayLike<ArrayLike<{ readonly transcript: string }>> }) => void) | null;
  onerror: ((event: { readonly error: string }) => void) | null;
  onend: (() => void) | null;
  start(): void;
  stop(): void;
}

type Browser = typeof globalThis & {
  readonly SpeechRecognition?: new () => Recognition;
  readonly webkitSpeechRecognition?: new () => Recognition;
};

export interface Dictation {
  readonly isListening: boolean;
  readonly error: string | null;
  readonly toggle: () => void;
}

const errorWords: Readonly<Record<string, string>> = {
  'not-allowed': 'The microphone is not allowed here. Allow it in the settings of the browser, or type.',
  'audio-capture': 'No microphone was found. Type it.',
  network: 'This browser needs signal to take dictation. Type it, or record it as a voice note.',
  'no-speech': 'Nothing was heard. Press again and speak.',
};

/** Takes dictation where the browser can; null where it cannot. What was said comes as text, a sentence at a time. */
export function useDictation(onSaid: (text: string) => void): Dictation | null {
  const Recogniser = (globalThis as Browser).SpeechRecognition ?? (globalThis as Browser).webkitSpeechRecognition;
  const running = useRef<Recognition | null>(null);
  const heard = useRef(onSaid);
  const [isListening, setIsListening] = useState(false);
  const [error, setError] = useState<string | null>(null);
  useEffect(() => {
    heard.current = onSaid;
  });
  useEffect(() => () => running.current?.stop(), []);
  if (Recogniser === undefined) return null;
  const start = (): void => {
    const recognition = new Recogniser();
    recognition.lang = document.documentElement.lang || 'en';
    recognition.onresult = ({ results }) => {
      const said = Array.from(results, (result) => result[0]?.transcript ?? '').join(' ');
      heard.current(said.trim());
    };
    recognition.onerror = ({ error: code }) =>
      setError(errorWords[code] ?? 'Dictation does not work right now. Type it.');
    recognition.onend = () => {
      running.current = null;
      setIsListening(false);
    };
    running.current = recognition;
    setError(null);
    setIsListening(true);
    recognition.start();
  };
  return { isListening, error, toggle: () => (running.current === null ? start() : running.current.stop()) };
}
