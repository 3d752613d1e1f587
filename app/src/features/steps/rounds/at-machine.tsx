import { mdiPencilOutline } from '@mdi/js';
import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetId } from '@oilcan/core/kernel';
import { inWalkingOrder, type Stop } from '@oilcan/core/steps/rounds';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, useRow, useRows } from '../../../data/store/store';
import { Icon } from '../../../ui/theme/icon';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Press } from '../../../ui/press/press';
import { SheetTop } from '../../../ui/layout/sheet-top';
import { AppText } from '../../../ui/theme/app-text';
import { useMachineInSight } from './stop-in-sight';

interface Props {
  readonly work: WorkOrder;
  /** A measuring point that is asked for, whose machine is meant then. */
  readonly pointId?: string | undefined;
  /** What is recorded with the job as it stands at that machine. */
  readonly children: (here: WorkOrder) => ReactElement;
}

/**
 * What is recorded belongs to a machine: on a round to that of the stop in sight, or to another that is chosen at the top of the
 * sheet. What opens within is given the job as if it were of that machine, and so proposes what is usual there.
 */
export function AtMachine({ work, pointId, children }: Props): ReactElement {
  const stops = useRows('stops', 'workOrder', work.id);
  return stops.length === 0 ? (
    children(work)
  ) : (
    <AtStop work={work} stops={stops} pointId={pointId}>
      {children}
    </AtStop>
  );
}

function AtStop({ work, stops, pointId, children }: Props & { readonly stops: readonly Stop[] }): ReactElement {
  const inSight = useMachineInSight(work);
  // What was chosen holds at that stop: whoever goes on to another one records there.
  const [chosen, setChosen] = useState(() => ({ at: inSight, assetId: machineOfPoint(pointId, stops) }));
  const assetId = (chosen.at === inSight ? chosen.assetId : null) ?? inSight;
  const here = useMemo(() => ({ ...work, assetId }), [work, assetId]);
  return (
    <SheetTop.Provider
      value={
        <MachineLine
          work={work}
          stops={stops}
          assetId={assetId}
          onChoose={(id) => setChosen({ at: inSight, assetId: id })}
        />
      }
    >
      {children(here)}
    </SheetTop.Provider>
  );
}

/** The machine at a stop on which a measuring point is, or is a part of; null where there is none. */
function machineOfPoint(pointId: string | undefined, stops: readonly Stop[]): AssetId | null {
  const atStops = new Set(stops.map(({ assetId }) => assetId));
  const seen = new Set<AssetId>();
  let id = pointId === undefined ? null : (peekRow('points', pointId)?.assetId ?? null);
  while (id !== null && !seen.has(id)) {
    if (atStops.has(id)) return id;
    seen.add(id);
    id = peekRow('assets', id)?.parentId ?? null;
  }
  return null;
}

interface LineProps {
  readonly work: WorkOrder;
  readonly stops: readonly Stop[];
  readonly assetId: AssetId;
  readonly onChoose: (assetId: AssetId) => void;
}

/** At which machine of the round it is recorded; pressed, at which other one. */
function MachineLine({ work, stops, assetId, onChoose }: LineProps): ReactElement {
  const [isChoosing, setIsChoosing] = useState(false);
  const asset = useRow('assets', assetId);
  if (!isChoosing)
    return (
      <Press
        label={`At ${asset?.name ?? 'a machine'}; change the machine`}
        onPress={() => setIsChoosing(true)}
        style={sheet.line}
      >
        <AppText as="label" style={sheet.fact}>
          At {asset?.name ?? 'a machine that is not on this phone'}
        </AppText>
        <Icon path={mdiPencilOutline} size={18} />
      </Press>
    );
  // What belongs to the round as a whole is on the machine that it is named after; a machine may be at two stops.
  const all = [...new Set([...inWalkingOrder(stops).map(({ assetId: id }) => id), work.assetId])];
  return (
    <View>
      <AppText as="label">At which machine</AppText>
      <Choices label="At which machine">
        {all.map((id) => (
          <Choice
            key={id}
            word={peekRow('assets', id)?.name ?? 'A machine that is not on this phone'}
            isChosen={id === assetId}
            onPress={() => {
              onChoose(id);
              setIsChoosing(false);
            }}
          />
        ))}
      </Choices>
    </View>
  );
}

const sheet = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', alignSelf: 'flex-start', gap: 6 },
  fact: { textDecorationLine: 'underline', flexShrink: 1 },
});
