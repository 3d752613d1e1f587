import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiChevronRight } from '@mdi/js';
import { chainBefore, type WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, useRows } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';

import { AppText } from '../../../ui/theme/app-text';
import { stateOf } from '../../../words/work-words';

/** What this job came from, back to its beginning, and what it led to. */
export function ChainLines({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const led = useRows('workOrders', 'cameFrom', work.id);
  const before = chainBefore(work, (id) => peekRow('workOrders', id));
  if (work.cameFrom === null && led.length === 0) return null;
  return (
    <View role="group" aria-label="Chain of work">
      {before.map((each, index) => (
        <ChainLine key={each.id} word={index === 0 ? 'Came from' : 'and that from'} work={each} />
      ))}
      {work.cameFrom !== null && before.length === 0 ? (
        <AppText soft>It came from work that is not on this phone any more.</AppText>
      ) : null}
      {led.map((each) => (
        <ChainLine key={each.id} word="Led to" work={each} />
      ))}
    </View>
  );
}

function ChainLine({ word, work }: { readonly word: string; readonly work: WorkOrder }): ReactElement {
  return (
    <LinkPress href={`/shift/${work.id}`} style={sheet.line}>
      <AppText style={sheet.words} lines={2}>
        {word} {work.number}, {work.title} ({stateOf(work).toLowerCase()})
      </AppText>
      <Icon path={mdiChevronRight} />
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1, minWidth: 0 },
});
