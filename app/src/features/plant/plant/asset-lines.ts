import { StyleSheet } from 'react-native';

/** How the lines of the page about a machine are laid out. */
export const lines = StyleSheet.create({
  line: { paddingVertical: 9 },
  linked: { flexDirection: 'row', alignItems: 'center', gap: 12, borderBottomWidth: 1 },
  words: { flex: 1, minWidth: 0 },
});
