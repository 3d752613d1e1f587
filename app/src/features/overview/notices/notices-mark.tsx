import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Badge } from 'react-native-paper';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';

import { textStyles } from '../../../ui/theme/type';
import { usePalette } from '../../../ui/theme/use-palette';
import { counted } from '../../../words/work-words';
import { useUnseen } from './use-notices';
import { mdiBellOutline } from '@mdi/js';

/** In the top bar: how many notices I have not seen, and the way to them. */
export function NoticesMark(): ReactElement {
  const palette = usePalette();
  const unseen = useUnseen();
  const label = unseen === 0 ? 'Notices, none new' : `Notices, ${counted(unseen, 'new one', 'new ones')}`;
  return (
    <LinkPress label={label} href="/notices" style={sheet.mark}>
      <View style={sheet.line} aria-hidden>
        <Icon path={mdiBellOutline} />
        {unseen === 0 ? null : (
          <Badge style={[sheet.count, { backgroundColor: palette.ink, color: palette.paper }]}>{unseen}</Badge>
        )}
      </View>
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  mark: { alignItems: 'center' },
  count: { ...textStyles.label, fontSize: 14, borderRadius: 4, alignSelf: 'center' },
  line: { flexDirection: 'row', alignItems: 'center', gap: 2 },
});
