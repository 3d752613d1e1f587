import type { ReactElement } from 'react';
import { View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import { varianceOf } from '@oilcan/core/stores/counts';
import { openAmount } from '@oilcan/core/stores/requests';
import { usePhone, useTable } from '../../../data/store/store';
import { Way } from '../../../ui/press/way';
import { counted } from '../../../words/work-words';
import { useStoreLines } from '../issue';

/** Where one goes from the stores: to what is asked of them. */
export function StoreWays(): ReactElement {
  const person = usePhone((state) => state.person);
  const keeps = person !== null && hasRole(person, ['storekeeper', 'lead']);
  return (
    <View>
      {keeps ? <AskedOfStore /> : <AskedByMe me={person?.id ?? ''} />}
      {keeps ? (
        <Way title="At the counter" more="Hand out to a job, or take back from it" href="/stores/counter" />
      ) : null}
      {keeps ? <Way title="What work needs" more="Today, tomorrow, this week, by bin" href="/stores/needs" /> : null}
      {keeps ? <Counts /> : null}
    </View>
  );
}

function AskedOfStore(): ReactElement {
  const lines = useStoreLines();
  const urgent = lines.filter(({ group }) => group === 'now').length;
  const words =
    lines.length === 0 ? 'Nothing is asked for' : `${counted(lines.length, 'part is', 'parts are')} asked for`;
  return (
    <Way
      title="Asked of the store"
      more={words}
      {...(urgent === 0 ? {} : { aside: `${urgent} now` })}
      href="/stores/asked"
    />
  );
}

function AskedByMe({ me }: { readonly me: string }): ReactElement {
  const mine = useTable('requests').filter((request) => request.askedBy === me && request.endedAt === null);
  const ready = mine.filter((request) => openAmount(request) === 0).length;
  const words = mine.length === 0 ? 'You asked for nothing' : `You asked for ${counted(mine.length, 'part', 'parts')}`;
  return (
    <Way
      title="Ask the store"
      more={words}
      {...(ready === 0 ? {} : { aside: `${ready} ready` })}
      href="/stores/asked"
    />
  );
}

function Counts(): ReactElement {
  const kept = useTable('counts').filter(({ settled }) => settled === null);
  const differ = kept.filter((count) => varianceOf(count) !== 0).length;
  const words =
    kept.length === 0
      ? 'Nothing waits to be posted'
      : `${counted(kept.length, 'bin is', 'bins are')} counted and not posted`;
  return (
    <Way title="Count" more={words} {...(differ === 0 ? {} : { aside: `${differ} differ` })} href="/stores/count" />
  );
}
