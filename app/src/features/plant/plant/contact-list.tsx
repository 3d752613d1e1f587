import { useMemo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { contactsOf, dialled, type Asset, type Contact } from '@oilcan/core/plant/plant';
import { peekRow, useTable } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';

import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { mdiPhone } from '@mdi/js';
import { List } from '../../../ui/layout/list';

/** Whom to call about a machine, the nearest first. */
export function useContacts(asset: Asset | undefined): readonly Contact[] {
  const contacts = useTable('contacts');
  return useMemo(
    () =>
      asset === undefined
        ? []
        : contactsOf(asset, {
            contacts,
            assetOf: (id) => peekRow('assets', id),
            placeOf: (id) => peekRow('places', id),
          }),
    [asset, contacts],
  );
}

/** Each is called with one press. */
export function ContactList({ contacts }: { readonly contacts: readonly Contact[] }): ReactElement {
  const palette = usePalette();
  return (
    <List label="Whom to call">
      {contacts.map(({ id, name, about, phone }) => (
        <LinkPress
          key={id}
          label={`Call ${name}, ${phone}`}
          href={`tel:${dialled(phone)}`}
          style={[sheet.line, { borderColor: palette.line }]}
        >
          <Icon path={mdiPhone} />
          <View style={sheet.words}>
            <AppText>{name}</AppText>
            <AppText as="small" soft>
              {about}
            </AppText>
          </View>
          <AppText as="label">{phone}</AppText>
        </LinkPress>
      ))}
    </List>
  );
}

const sheet = StyleSheet.create({
  // With very large text the number goes under the name.
  line: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'flex-start',
    columnGap: 12,
    borderBottomWidth: 1,
    paddingVertical: 8,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 110, minWidth: 0 },
});
