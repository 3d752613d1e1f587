import { useState, type ReactElement } from 'react';
import type { AssetId, PlaceId } from '@oilcan/core/kernel';
import { usePhone, useRow } from '../../../data/store/store';
import { Choice } from '../../../ui/fields/choice';
import { DoneScreen } from '../../raising/already-done';
import { IncidentForm } from '../../raising/incidents';
import { isWay, RaiseScreen, useRaiseDraft, WaysChoice, waysOf, type RaisedAt } from '../../raising/raise';

interface Props {
  readonly assetId: string | undefined;
  readonly placeId: string | undefined;
  /** What becomes of it at first, where a link says so. */
  readonly way?: string | undefined;
  /** The job from which it is raised, whose further work it is unless somebody says otherwise. */
  readonly from?: string | undefined;
  /** What it is, where a link says so. */
  readonly words?: string | undefined;
}

/**
 * One page on which something is raised, whatever becomes of it: done at once, planned, reported, written down as done, or an incident.
 * What was said, chosen and photographed stays when one changes one’s mind, and when the page is left half-filled.
 */
export function RaisePage({ assetId, placeId, way: wanted, from, words: given = '' }: Props): ReactElement | null {
  const person = usePhone((state) => state.person);
  const draft = useRaiseDraft(assetId ?? placeId ?? '', given);
  const job = useRow('workOrders', from);
  const [isLinked, setIsLinked] = useState(true);
  if (person === null) return null;
  const open = waysOf(person);
  const chosen = [draft.way, wanted].find((each) => isWay(each) && open.includes(each));
  const way = isWay(chosen) ? chosen : (open[0] ?? 'report');
  const begun = assetId !== undefined ? `asset ${assetId}` : placeId !== undefined ? `place ${placeId}` : '';
  const at = atOf(draft.at === '' ? begun : draft.at);
  const choice = (
    <>
      <WaysChoice open={open} way={way} onChoose={(next) => draft.change({ way: next })} />
      {job !== undefined && (way === 'now' || way === 'plan') ? (
        <Choice
          isMany
          word={`Further work of ${job.number}`}
          isChosen={isLinked}
          onPress={() => setIsLinked(!isLinked)}
        />
      ) : null}
    </>
  );
  const props = { draft, at, ways: choice };
  switch (way) {
    case 'done':
      return <DoneScreen {...props} />;
    case 'incident':
      return <IncidentForm {...props} />;
    default:
      return (
        <RaiseScreen
          {...props}
          cameFrom={isLinked ? job : undefined}
          way={way}
          onAt={(next) => draft.change({ at: next === null ? NOWHERE : `${next.is} ${next.id}` })}
        />
      );
  }
}

/** Where somebody is who has left where it began, and has not said yet where else it is. */
const NOWHERE = 'nowhere';

/** A place or a machine by its words in the draft. */
function atOf(text: string): RaisedAt {
  const [is, id = ''] = text.split(' ');
  if (id === '') return null;
  return is === 'asset' ? { is, id: id as AssetId } : { is: 'place', id: id as PlaceId };
}
