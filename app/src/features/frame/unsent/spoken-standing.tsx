import { useEffect, useRef, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { AppText } from '../../../ui/theme/app-text';
import { heardNothing, spokenOf } from './spoken';
import { useFacts } from './use-facts';

/** Speaks what changed between this phone and the server; nobody sees it, for the mark in the bar shows it. */
export function SpokenStanding(): ReactElement {
  const facts = useFacts();
  const last = useRef(heardNothing);
  const [spoken, setSpoken] = useState('');
  useEffect(() => {
    const { heard, words } = spokenOf(last.current, facts);
    last.current = heard;
    if (words !== null) setSpoken(words);
  }, [facts]);
  return (
    <View role="status" style={sheet.unseen}>
      <AppText as="small">{spoken}</AppText>
    </View>
  );
}

const sheet = StyleSheet.create({
  unseen: { position: 'absolute', width: 1, height: 1, overflow: 'hidden' },
});
