import { useEffect, useRef, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from '../theme/icon';
import { Press } from '../press/press';
import { CORNER, GAP, RULE } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';
import { mdiBackspaceOutline } from '@mdi/js';

interface Props {
  readonly text: string;
  readonly onChange: (text: string) => void;
  readonly hasSign: boolean;
}

const LONGEST_NUMBER = 12;

/** Large keys for a number, so that gloves and a small on-screen keyboard never meet. */
export function Keypad({ text, onChange, hasSign }: Props): ReactElement {
  const palette = usePalette();
  const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', 'erase'];
  const press = (key: string): void => onChange(typed(text, key));
  const latest = useRef(press);
  useEffect(() => {
    latest.current = press;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      const key = keyOf(event);
      if (key === null) return;
      event.preventDefault();
      latest.current(key);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  return (
    <View style={sheet.pad}>
      {keys.map((key) => (
        <Press
          key={key}
          onPress={() => press(key)}
          isRepeatable
          label={key === 'erase' ? 'Erase the last digit' : key === '.' ? 'Decimal point' : key}
          style={[sheet.key, { borderColor: palette.edge, backgroundColor: palette.card }]}
        >
          {key === 'erase' ? <Icon path={mdiBackspaceOutline} /> : <AppText as="title">{key}</AppText>}
        </Press>
      ))}
      {hasSign ? (
        <Press
          onPress={() => press('±')}
          isRepeatable
          label="Plus or minus"
          style={[sheet.sign, { borderColor: palette.edge, backgroundColor: palette.card }]}
        >
          <AppText as="heading">+ / −</AppText>
        </Press>
      ) : null}
    </View>
  );
}

/** The key of the pad that a key of the keyboard stands for; null for none, and while words are typed elsewhere. */
export function keyOf({ key, target, ctrlKey, metaKey, altKey }: KeyboardEvent): string | null {
  const isTypingElsewhere = target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);
  if (isTypingElsewhere || ctrlKey || metaKey || altKey) return null;
  if (/^[0-9]$/.test(key)) return key;
  if (key === 'Backspace') return 'erase';
  if (key === '.' || key === ',') return '.';
  return key === '-' ? '±' : null;
}

/** The text after a key was pressed on it. */
export function typed(text: string, key: string): string {
  if (key === 'erase') return text.slice(0, -1);
  if (key === '±') return text.startsWith('-') ? text.slice(1) : `-${text}`;
  if (key === '.' && text.includes('.')) return text;
  return text.length >= LONGEST_NUMBER ? text : `${text}${key}`;
}

const sheet = StyleSheet.create({
  pad: { flexDirection: 'row', flexWrap: 'wrap', gap: GAP },
  key: { width: '31%', flexGrow: 1, height: 54, alignItems: 'center', borderWidth: RULE, borderRadius: CORNER },
  sign: { width: '100%', alignItems: 'center', borderWidth: RULE, borderRadius: CORNER },
});
