import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { levelOf, type Limits } from '@oilcan/core';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Keypad } from '../../ui/keypad';
import { Button } from '../../ui/press';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';
import { levelWords } from '../../words/work-words';

interface Props {
  readonly title: string;
  readonly unit: string;
  readonly limits: Limits;
  readonly onClose: () => void;
  readonly onKeep: (value: number) => void;
}

/** A number for a step, on large keys. */
export function NumberSheet({ title, unit, limits, onClose, onKeep }: Props): ReactElement {
  const palette = usePalette();
  const [text, setText] = useState('');
  const value = readNumber(text);
  const level = value === null ? 'normal' : levelOf(value, limits);
  return (
    <BottomSheet
      title={title}
      onClose={onClose}
      foot={<Button main word={value === null ? 'Type a number' : `Keep ${text} ${unit}`} disabled={value === null} onPress={() => value !== null && onKeep(value)} />}
    >
      <View style={sheet.value}>
        <Words as="figure" live>
          {text === '' ? '–' : text}
        </Words>
        <Words as="heading" soft>
          {unit}
        </Words>
      </View>
      {level === 'normal' ? null : <Words color={palette.faulty}>{levelWords[level]}</Words>}
      <Keypad text={text} onChange={setText} hasSign={(limits.alarmLow ?? 0) < 0} />
    </BottomSheet>
  );
}

/** What was typed as a number; null for nothing, a lone sign or point. */
export function readNumber(text: string): number | null {
  return /^-?(\d+\.?\d*|\.\d+)$/.test(text) ? Number(text) : null;
}

const sheet = StyleSheet.create({ value: { flexDirection: 'row', alignItems: 'baseline', gap: 10 } });
