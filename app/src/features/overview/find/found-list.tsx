import { useEffect, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { foundTogether, type FoundWork } from '@oilcan/core/overview/find';
import type { WorkOrder } from '@oilcan/core/orders/work';
import {
  useFoundAssets,
  useFoundJobs,
  useFoundParts,
  useFoundPlaces,
  useFoundReports,
  useFoundThere,
  type FoundThere,
} from '../../../data/find/use-found';
import { peekRow } from '../../../data/store/store';
import { List } from '../../../ui/layout/list';
import { Section } from '../../../ui/layout/section';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { FoundReports } from '../../raising/reports';
import { useWhyNotListed } from './why-not-listed';

export { prepareFinding } from '../../../data/find/use-found';

const MOST_JOBS = 20;
const MOST_OTHERS = 5;

interface Props {
  readonly typed: string;
  /** Why a job of this phone is not in the list beneath, where there is one. */
  readonly isHidden?: ((work: WorkOrder) => boolean) | undefined;
  /** Enter was pressed for what was typed: the first job opens, once. */
  readonly onOpensFirst?: (() => void) | undefined;
}

const JOBS_FOUND = 'Jobs that were found';

/** All that fits what was typed and that the person may see, the likeliest first: jobs, machines, parts, places and reports. */
export function FoundList({ typed, isHidden, onOpensFirst }: Props): ReactElement {
  const jobs = useFoundJobs(typed, MOST_JOBS);
  const there = useFoundThere(typed);
  const machines = useFoundAssets(typed, MOST_OTHERS);
  const parts = useFoundParts(typed, MOST_OTHERS);
  const places = useFoundPlaces(typed, MOST_OTHERS);
  const reports = useFoundReports(typed, MOST_OTHERS);
  const whyNot = useWhyNotListed(isHidden);
  const found = foundTogether(jobs, there.is === 'here' ? there.works : [], typed);
  const isNothing = found.length + machines.length + parts.length + places.length + reports.length === 0;
  useEffect(() => {
    if (onOpensFirst === undefined) return;
    onOpensFirst();
    document.querySelector<HTMLElement>(`[aria-label="${JOBS_FOUND}"] a`)?.click();
  }, [onOpensFirst]);
  return (
    <View style={sheet.found}>
      {isNothing && there.is !== 'asking' ? <AppText live>Nothing fits “{typed.trim()}”.</AppText> : null}
      {found.length === 0 ? null : (
        <Section title="Jobs">
          <List label={JOBS_FOUND}>
            {found.map((work) => (
              <FoundJob key={work.id} work={work} why={whyNot(work)} />
            ))}
          </List>
        </Section>
      )}
      <AppText as="small" soft live>
        {thereWords[there.is]}
      </AppText>
      {machines.length === 0 ? null : (
        <Section title="Machines">
          <List label="Machines that were found">
            {machines.map((asset) => (
              <Way
                key={asset.id}
                href={`/plant/${asset.id}`}
                title={asset.name}
                more={[asset.tag, peekRow('places', asset.placeId)?.name].join(' · ')}
              />
            ))}
          </List>
        </Section>
      )}
      {places.length === 0 ? null : (
        <Section title="Places">
          <List label="Places that were found">
            {places.map((place) => (
              <Way key={place.id} href={`/plant?place=${place.id}`} title={place.name} />
            ))}
          </List>
        </Section>
      )}
      {parts.length === 0 ? null : (
        <Section title="Parts">
          <List label="Parts that were found">
            {parts.map((part) => (
              <Way
                key={part.id}
                href={`/stores?find=${encodeURIComponent(part.number)}`}
                title={part.name}
                more={part.number}
              />
            ))}
          </List>
        </Section>
      )}
      <FoundReports find={typed} />
    </View>
  );
}

const thereWords: Readonly<Record<FoundThere['is'], string>> = {
  'nothing asked': '',
  asking: 'Looking for older work on the server …',
  'without signal': 'No signal: only what is on this phone.',
  here: '',
};

function FoundJob({ work, why }: { readonly work: FoundWork | WorkOrder; readonly why: string }): ReactElement {
  const asset = peekRow('assets', work.assetId);
  const place = peekRow('places', work.placeId);
  const where = [asset?.name, place?.name].filter((each) => each !== undefined).join(' · ');
  return (
    <Way
      href={`/shift/${work.id}`}
      title={`${work.number} ${work.title}`}
      more={`${where}${where === '' || why === '' ? '' : ' · '}${why}`}
    />
  );
}

const sheet = StyleSheet.create({ found: { paddingHorizontal: 16, paddingBottom: 24, gap: 4 } });
