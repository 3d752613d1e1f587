import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState, type RefObject } from 'react';
import { asId, type AssetId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { dueBy, rulesOf, waitsForLead } from '@oilcan/core/orders/raise-rules';
import type { Settings } from '@oilcan/core/orders/settings';
import type { Asset } from '@oilcan/core/plant/plant';
import { sentenceFor } from '@oilcan/core/registry';
import type { Procedure } from '@oilcan/core/steps/procedures';
import { useUsual } from '../../../data/queries/usual-of';
import { now, peekRow, usePhone, useRow, useTable } from '../../../data/store/store';
import { useOperationForm } from '../../../forms/use-operation-form';
import { useNotice } from '../../../ui/state/use-notice';
import { sayMoment } from '../../../words/dates';
import { useMadeWork } from '../../orders/work';
import { useUsualKit } from '../../stores/kit-list';
import { mostUrgent, readPlan, reasonOf, titleOf, type PlanFacts, type TypedPlan } from './plan-args';
import { recordTaken } from './record-taken';

export const BY_RULE = '';

/** What a plan begins with, and where it leads. */
export interface PlanGiven extends Omit<PlanFacts, 'settings' | 'procedure' | 'usual'> {
  /** Given where the key that makes it stands elsewhere: what that does. */
  readonly submitter?: RefObject<(() => void) | null>;
  /** Once it is there, and all that was said for it can be forgotten. */
  readonly onMade: () => void;
}

/** A new work order while it is being typed: its form, and what is known of such work. */
export type Plan = ReturnType<typeof usePlan>;

/** @param likelyTrade the trade that it begins with */
export function usePlan(given: PlanGiven, settings: Settings, likelyTrade: string) {
  const { asset, words, reports, along, cameFrom, submitter, onMade } = given;
  const router = useRouter();
  const say = useNotice((state) => state.say);
  const makes = useMadeWork();
  const me = usePhone((state) => state.person);
  const isLead = me !== null && hasRole(me, ['lead']);
  const rules = rulesOf(asset.siteId, useRow('raiseRules', asset.siteId));
  const [worst] = reports;
  const [procedure, setProcedure] = useState<Procedure | null>(null);
  const [usualTitle, setUsualTitle] = useState(titleOf(worst?.words ?? words ?? ''));
  const defaultValues: TypedPlan = {
    title: titleOf(worst?.words ?? ''),
    reason: reasonOf(reports),
    estimate: '',
    urgency: mostUrgent(reports),
    kind: 'corrective',
    tradeId: likelyTrade,
    due: BY_RULE,
    plannedOn: '',
    // Whoever finds something mostly does it; a lead gives it to somebody.
    personIds: isLead || me === null ? [] : [me.id],
    crewId: '',
    steps: [],
  };
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.raise',
    about: asset.id,
    defaultValues,
    fieldOf: (argument) =>
      argument === 'estimateMinutes' ? 'estimate' : argument === 'dueAt' ? 'due' : (argument as 'title'),
    read: (typed) =>
      readPlan(typed, { ...given, settings, procedure, usual: { minutes: estimateMinutes, kit: usualKit.kit } }),
    said: (_, __, made) => makes.said(made, 'planned'),
    opens: makes.opens,
    onDone: (made) => {
      onMade();
      // A lead goes on with the next report; whoever planned it for themselves finds it in their list.
      router.replace(cameFrom !== undefined ? `/shift/${cameFrom.id}` : isLead ? '/desk' : '/shift');
      // The work order is there, whatever becomes of what goes with it.
      void recordTaken(asId(made), along, 'before').then((refusals) =>
        refusals.forEach(({ code, values }) => say(sentenceFor(code, values))),
      );
    },
  });
  useEffect(() => {
    if (submitter !== undefined) submitter.current = submit;
  });
  const typed = form.watch();
  const title = words === null ? usualTitle : titleOf(words);
  const { kind, urgency, tradeId } = typed;
  const usual = useUsual({ assetId: asset.id, kind, tradeId, title });
  const usualKit = useUsualKit(usual, asset.siteId);
  const estimateMinutes = usual?.minutes?.median ?? 0;
  const ruled = dueBy(rules, urgency, now());
  return {
    form,
    typed,
    submit,
    refusal,
    title,
    noteTitle: (): void => setUsualTitle(form.getValues('title')),
    procedure,
    setProcedure,
    usualKit,
    estimateMinutes,
    /** When it is due by how soon it must be answered, in words. */
    byRule: ruled === null ? 'no date' : sayMoment(ruled, now(), settings.zone, settings.language),
    /** Whether it waits for a lead to let it start. */
    waits: !isLead && waitsForLead(rules.goAhead, { kind, urgency, estimateMinutes, kitMinor: 0 }),
  };
}

/** The trade that work on this machine, or on such machines, usually wants; null where this phone has none of it. */
export function useLikelyTrade(asset: Asset): string | null {
  const works = useTable('workOrders');
  return useMemo(() => {
    const classOf = (id: AssetId): string | undefined => peekRow('assets', id)?.equipmentClass;
    const ofMachine = works.filter(({ assetId }) => assetId === asset.id);
    const like =
      ofMachine.length > 0 ? ofMachine : works.filter((work) => classOf(work.assetId) === asset.equipmentClass);
    const times = new Map<string, number>();
    for (const { tradeId } of like) times.set(tradeId, (times.get(tradeId) ?? 0) + 1);
    return [...times].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
  }, [works, asset]);
}
