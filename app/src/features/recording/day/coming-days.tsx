import { useRouter } from 'expo-router';
import { useMemo, type ReactElement } from 'react';
import { View } from 'react-native';
import { mdiChevronRight } from '@mdi/js';
import { formatDuration } from '@oilcan/core/kernel';
import { comingDays } from '@oilcan/core/finishing/shift';
import type { Settings } from '@oilcan/core/orders/settings';
import { usePhone, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { Row, Section } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { sayLocalDay } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { onSite, useSite } from '../../frame/page/use-site';
import { showDay } from '../../finishing/shift';
import { ownWork } from '../../orders/work';

/** What is planned or due on each of the next days; a press shows it in the list. */
export function ComingDays({ settings }: { readonly settings: Settings }): ReactElement | null {
  const router = useRouter();
  const present = useNow(60);
  const site = useSite();
  const person = usePhone((state) => state.person);
  const workOrders = useTable('workOrders');
  const crews = useTable('crews');
  const { zone, language, shiftMinutes } = settings;
  const days = useMemo(() => {
    if (person === null) return [];
    const rows = { workOrders: onSite(workOrders, site), crews: new Map(crews.map((crew) => [crew.id, crew])) };
    return comingDays(ownWork(rows, person), present, zone);
  }, [person, workOrders, site, crews, present, zone]);
  return (
    <Section title="Coming days">
      {days.map(({ day, works, estimateMinutes }) => {
        const said = sayLocalDay(day, present, zone, language);
        const open = (): void => {
          showDay(day, zone);
          router.navigate('/shift');
        };
        return (
          <Press
            key={day}
            onPress={open}
            disabled={works.length === 0}
            label={`Show ${said}: ${counted(works.length, 'job', 'jobs')}`}
            style={{ alignItems: 'stretch' }}
          >
            <Row>
              <View style={{ flex: 1 }}>
                <AppText>{said.slice(0, 1).toUpperCase() + said.slice(1)}</AppText>
                <AppText as="small" soft>
                  {works.length === 0
                    ? 'Nothing planned or due'
                    : `${counted(works.length, 'job', 'jobs')}, ${formatDuration(estimateMinutes)}${estimateMinutes > shiftMinutes ? ': more than a shift' : ''}`}
                </AppText>
              </View>
              {works.length === 0 ? null : <Icon path={mdiChevronRight} />}
            </Row>
          </Press>
        );
      })}
    </Section>
  );
}
