import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiCalendarClockOutline, mdiChevronRight } from '@mdi/js';
import { byId, formatDuration, localDate } from '@oilcan/core/kernel';
import { dueSoonOn, nextOn, workIdOf, type DueSoon } from '@oilcan/core/finishing/plans';
import { sentenceFor } from '@oilcan/core/registry';
import type { Settings } from '@oilcan/core/orders/settings';
import { assigneesOf, isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, performMaking, useRow, useRows, useSettings, useTable } from '../../../data/store/store';
import { FormRefusal } from '../../../forms/form-refusal';
import { Icon } from '../../../ui/theme/icon';
import { Button, IconPress } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { sayLocalDay } from '../../../words/dates';
import { stateOf } from '../../../words/work-words';
import { useMadeWork } from '../../orders/work';
import { dueWords } from './plan-words';
import { List } from '../../../ui/layout/list';

/** What else is due soon on the machine of a job, which whoever goes there may take along. */
export function DueSoonLines({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const settings = useSettings(work.siteId);
  const plans = useRows('plans', 'site', work.siteId);
  const assets = useTable('assets');
  const soon = useMemo(() => {
    if (settings === undefined) return [];
    const { zone } = settings;
    const pointOf = (id: string) => peekRow('points', id);
    const all = dueSoonOn(plans, byId(assets), work.assetId, { today: localDate(now(), zone), zone, pointOf, nextOn });
    return all.filter(({ plan }) => plan.open?.workOrderId !== work.id && plan.id !== work.plan?.planId);
  }, [plans, assets, settings, work]);
  if (settings === undefined || soon.length === 0) return null;
  return (
    <View role="group" aria-label="Due soon on this machine">
      <View style={sheet.head}>
        <AppText as="label" level={3}>
          Due soon on this machine
        </AppText>
      </View>
      <List label="Due soon on this machine">
        {soon.map((each) => (
          <SoonLine key={each.plan.id} soon={each} isAtIt={isOpen(work.state)} settings={settings} />
        ))}
      </List>
    </View>
  );
}

interface SoonLineProps {
  readonly soon: DueSoon;
  /** Whether somebody works on this machine now. */
  readonly isAtIt: boolean;
  readonly settings: Settings;
}

function SoonLine({ soon: { plan, on, due }, isAtIt, settings }: SoonLineProps): ReactElement {
  const router = useRouter();
  const open = useRow('workOrders', plan.open?.workOrderId);
  const asset = useRow('assets', plan.assetId);
  const makes = useMadeWork();
  const [refusal, setRefusal] = useState<string | null>(null);
  const when = due === null ? sayLocalDay(on, now(), settings.zone, settings.language) : dueWords(due, now(), settings);
  const isFree = plan.open === null || (open !== undefined && isOpen(open.state) && assigneesOf(open).length === 0);
  const occurrence = plan.open === null ? plan.made + 1 : plan.made;
  return (
    <>
      <Row wraps>
        <Icon path={mdiCalendarClockOutline} />
        <View style={sheet.words}>
          <AppText>{plan.title}</AppText>
          <AppText as="small" soft>
            {asset?.name ?? 'Another machine'}, due {when}, {formatDuration(plan.estimateMinutes)}
            {open === undefined ? '' : `; ${open.number}, ${stateOf(open).toLowerCase()}`}
          </AppText>
        </View>
        {isAtIt && isFree ? (
          <Button
            word="Do it too"
            label={`Do it too: ${plan.title}`}
            onPress={() =>
              void performMaking('plan.take-along', { planId: plan.id, occurrence, dueOn: on, number: null }).then(
                (taken) => {
                  setRefusal(taken.ok ? null : sentenceFor(taken.code, taken.values));
                  if (taken.ok) makes.tell([workIdOf(plan, occurrence)], 'on your list');
                },
              )
            }
          />
        ) : null}
        {open === undefined || isFree ? null : (
          <IconPress
            label={`Open ${open.number} ${open.title}`}
            icon={mdiChevronRight}
            onPress={() => router.navigate(`/shift/${open.id}`)}
          />
        )}
      </Row>
      <FormRefusal sentence={refusal} />
    </>
  );
}

const sheet = StyleSheet.create({
  head: { paddingTop: 14 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 150, minWidth: 0 },
});
