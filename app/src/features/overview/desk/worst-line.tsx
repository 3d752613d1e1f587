import { useMemo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { worstWaiting, type WorstWaiting } from '@oilcan/core/overview/desk';
import { peekRow, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { onSite, useSite } from '../../frame/page/use-site';
import { usePalette } from '../../../ui/theme/use-palette';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';

/** The first line of the Desk: the worst thing that waits, and the way to it. */
export function WorstLine({ finished }: { readonly finished: number }): ReactElement {
  const palette = usePalette();
  const site = useSite();
  const reports = useTable('reports');
  const incidents = useTable('incidents');
  const assets = useTable('assets');
  const works = useTable('workOrders');
  const present = useNow(60);
  const worst = useMemo(
    () =>
      worstWaiting(
        {
          reports: onSite(reports, site),
          incidents: onSite(incidents, site),
          assets: onSite(assets, site),
          works: onSite(works, site),
          finished,
        },
        present,
      ),
    [reports, incidents, assets, works, finished, site, present],
  );
  const { title, more, href } = worstWords(worst);
  if (href === null) {
    return (
      <>
        <AppText as="title" level={2}>
          {title}
        </AppText>
        {worst.is === 'nothing' ? <AppText soft>Finished work appears here the moment it is done.</AppText> : null}
      </>
    );
  }
  const isBad = worst.is === 'danger' || worst.is === 'injury' || worst.is === 'stopped';
  return (
    <View style={[sheet.worst, { borderColor: isBad ? palette.faulty : palette.ink }]}>
      <AppText as="heading" level={2}>
        {title}
      </AppText>
      <Way href={href} title={more} />
    </View>
  );
}

function worstWords(worst: WorstWaiting): {
  readonly title: string;
  readonly more: string;
  readonly href: string | null;
} {
  switch (worst.is) {
    case 'danger':
      return { title: 'Somebody is in danger', more: said(worst.report), href: `/reports/${worst.report.id}` };
    case 'injury':
      return { title: 'Somebody was hurt', more: said(worst.incident), href: `/reports/incident/${worst.incident.id}` };
    case 'stopped':
      return {
        title: `${worst.asset.name} stands still`,
        more: 'Nobody is at it',
        href: `/plant/${worst.asset.id}`,
      };
    case 'late':
      return {
        title: 'Needed now, and late',
        more: `${worst.work.number} ${worst.work.title}`,
        href: `/shift/${worst.work.id}`,
      };
    case 'report':
      return { title: 'A report waits for an answer', more: said(worst.report), href: `/reports/${worst.report.id}` };
    case 'goAhead':
      return {
        title: 'Raised work waits for your go-ahead',
        more: `${worst.work.number} ${worst.work.title}`,
        href: `/shift/${worst.work.id}`,
      };
    case 'finished':
      return {
        title: `${counted(worst.count, 'finished job waits', 'finished jobs wait')} for your look`,
        more: '',
        href: null,
      };
    case 'nothing':
      return { title: 'Nothing waits for you', more: '', href: null };
  }
}

function said({
  number,
  words,
  assetId,
  placeId,
}: {
  number: string;
  words: string;
  assetId: string | null;
  placeId: string | null;
}): string {
  const where =
    assetId !== null
      ? peekRow('assets', assetId)?.name
      : placeId !== null
        ? peekRow('places', placeId)?.name
        : undefined;
  return [`${number} ${words}`, where].filter((each) => each !== undefined).join(' · ');
}

const sheet = StyleSheet.create({ worst: { borderLeftWidth: 6, paddingLeft: 12 } });
