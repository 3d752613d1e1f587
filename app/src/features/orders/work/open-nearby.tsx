import { useMemo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, useSettings, useTable } from '../../../data/store/store';
import { List } from '../../../ui/layout/list';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { sayDue } from '../../../words/dates';

const MOST_SHOWN = 5;

/** In Prepare: other open work on this machine and in this place, which may be done on the same way. */
export function OpenNearby({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const works = useTable('workOrders');
  const settings = useSettings(work.siteId);
  const near = useMemo(() => {
    const open = works.filter(({ id, state, placeId }) => id !== work.id && isOpen(state) && placeId === work.placeId);
    const isSame = ({ assetId }: WorkOrder): number => Number(assetId === work.assetId);
    return open.sort((a, b) => isSame(b) - isSame(a) || ((a.dueAt ?? '9') < (b.dueAt ?? '9') ? -1 : 1));
  }, [works, work.id, work.assetId, work.placeId]);
  if (near.length === 0 || settings === undefined) return null;
  return (
    <View style={sheet.near}>
      <AppText as="label" level={3}>
        Also open here
      </AppText>
      <List label="Also open here">
        {near.slice(0, MOST_SHOWN).map((other) => (
          <Way
            key={other.id}
            href={`/shift/${other.id}`}
            title={other.title}
            more={`${other.number} · ${other.assetId === work.assetId ? 'this machine' : (peekRow('assets', other.assetId)?.name ?? '')}`}
            aside={other.dueAt === null ? '' : sayDue(other.dueAt, now(), settings.zone, settings.language)}
          />
        ))}
      </List>
      {near.length > MOST_SHOWN ? <AppText soft>And {near.length - MOST_SHOWN} more in this place.</AppText> : null}
    </View>
  );
}

const sheet = StyleSheet.create({ near: { paddingTop: 14 } });
