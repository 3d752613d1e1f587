import { isolationActs } from '@oilcan/core/orders/isolation';
import { addMinutes, asId, type EntryId, type Instant, type PersonId } from '@oilcan/core/kernel';
import { nonesOf } from '@oilcan/core/recording/none';
import { noticeKinds } from '@oilcan/core/overview/notices';
import type { Person } from '@oilcan/core/plant/people';
import type { MemoryRecords } from '@oilcan/core/records';
import type { ArgsOf, OperationName } from '@oilcan/core/registry/operations';
import type { Step } from '@oilcan/core/steps/steps';
import { isOpen, currentEntries, urgencies, type Entry } from '@oilcan/core/orders/work';
import { assetId, binId, partId, pointId } from '@oilcan/core/testing';
import { comesOut, dayAfter, demandsBy, fileIdOf, notesOf, wayOfRaising } from './deed-parts';
import { reportDeedOf } from './report-deeds';
import { storeDeedOf } from './store-deeds';

/** An operation that somebody wants to do. */
export type Deed = { [N in OperationName]: { readonly name: N; readonly args: ArgsOf<N> } }[OperationName];

/** What a deed means to this person at this moment, looking at their own phone; null when there is nothing to do it to. */
export function deedOf(what: string, choice: number, view: MemoryRecords, person: Person, now: Instant): Deed | null {
  const works = view.peekAll('workOrders');
  const work = works[choice % Math.max(1, works.length)];
  if (work === undefined) return null;
  const onWork = { workOrderId: work.id };
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(choice / 7) % Math.max(1, list.length)];
  const steps = view.peekList('steps', 'workOrder', work.id);
  const mine = currentEntries(view.peekList('entries', 'workOrder', work.id)).filter((entry) => entry.by === person.id);
  const entryOf = (kind: Entry['content']['kind']): EntryId =>
    pick(mine.filter(({ content }) => content.kind === kind))?.id ?? asId<EntryId>('none');
  const stepOf = (type: Step['question']['type']): Step | undefined =>
    pick(steps.filter(({ question }) => question.type === type));
  const stop = pick(view.peekList('stops', 'workOrder', work.id));
  const onStop = stop === undefined ? null : { ...onWork, stopId: stop.id };
  // On a round some things are said of the machine at a stop, some of the whole.
  const atStop = stop === undefined || choice % 3 === 0 ? {} : { assetId: stop.assetId };
  const step = pick(steps);
  const amount = 1 + (choice % 4);
  const labor = (minutes: number) => ({ startedAt: addMinutes(now, -90), minutes, timeType: 'regular' as const });
  const answer = (step: Step | undefined, value: ArgsOf<'step.answer'>['answer']): Deed | null =>
    step === undefined ? null : { name: 'step.answer', args: { ...onWork, stepId: step.id, answer: value } };
  const people = view.peekAll('people').map(({ id }) => id);
  const others = people.filter((id) => id !== person.id);
  const some = <T>(list: readonly T[]): T[] => list.filter((_, index) => (choice >> index) % 2 === 1);
  const aboutShare = {
    tradeId: null,
    assetId: null,
    plannedMinutes: amount * 15,
    stepIds: some(steps).map(({ id }) => id),
  };
  const share = pick(view.peekList('shares', 'workOrder', work.id));
  const onShare = share === undefined ? null : { ...onWork, shareId: share.id };
  const isolation = (act: ArgsOf<'isolation.record'>['act'], ofPersonId: PersonId | null): Deed | null => {
    const pointId = act === 'shutDown' ? null : (pick(work.isolation)?.id ?? null);
    const reason = ofPersonId === null ? '' : 'went home';
    return { name: 'isolation.record', args: { ...onWork, act, pointId, ofPersonId, reason } };
  };
  switch (what) {
    case 'note':
      return { name: 'note.add', args: { ...onWork, ...atStop, text: `Note ${choice}` } };
    case 'tick':
      return answer(stepOf('tick'), { type: 'tick' });
    case 'untick':
      return answer(stepOf('tick'), null);
    case 'wrong answer':
      return answer(stepOf('tick'), { type: 'number', value: 1 });
    case 'finding':
      return answer(stepOf('finding'), { type: 'finding', asFound: 'faulty', asLeft: 'putRight' });
    case 'found good':
      return answer(stepOf('finding'), { type: 'finding', asFound: 'good', asLeft: null });
    case 'skip':
      return answer(step, { type: 'skipped', reason: 'No access' });
    case 'add steps':
      return {
        name: 'steps.add',
        args: {
          ...onWork,
          ...(stop === undefined ? {} : { stopId: stop.id }),
          procedureId: null,
          steps: [
            { text: `Look ${choice}`, question: { type: 'finding' }, under: null, when: null },
            { text: 'Which one?', question: { type: 'tick' }, under: 0, when: { is: 'faulty', step: 0 } },
          ],
        },
      };
    case 'minutes of a step':
      return step === undefined
        ? null
        : { name: 'labor.add', args: { ...onWork, personId: person.id, ...labor(amount * 5), stepId: step.id } };
    case 'put off stop':
      return onStop === null ? null : { name: 'stop.put-off', args: onStop };
    case 'leave out stop':
      return onStop === null ? null : { name: 'stop.leave-out', args: { ...onStop, reason: 'Ice' } };
    case 'take up stop':
      return onStop === null ? null : { name: 'stop.take-up', args: onStop };
    case 'turn round':
      return stop === undefined ? null : { name: 'round.turn', args: { ...onWork, firstStopId: stop.id } };
    case 'stop the machine':
      return {
        name: 'stoppage.add',
        args: {
          ...onWork,
          assetId: null,
          from: addMinutes(now, -10 * amount),
          to: choice % 3 === 0 ? addMinutes(now, -5) : null,
          extent: choice % 2 === 0 ? 'full' : 'reduced',
          lostPercent: choice % 4 === 1 ? 25 : null,
          isPlanned: choice % 5 === 0,
        },
      };
    case 'end a stoppage': {
      const open = currentEntries(view.peekList('entries', 'workOrder', work.id)).filter(
        ({ content }) => content.kind === 'stoppage',
      );
      const entryId = pick(open)?.id ?? asId<EntryId>('none');
      return { name: 'stoppage.end', args: { ...onWork, entryId, to: now } };
    }
    case 'fault':
      return {
        name: 'fault.add',
        args: {
          ...onWork,
          assetId: null,
          component: 'Seal',
          mode: choice % 2 === 0 ? 'ELU' : 'NOI',
          mechanism: null,
          cause: choice % 3 === 0 ? '3.4' : null,
          detection: 8,
          activity: null,
          text: '',
        },
      };
    case 'run again':
      return { name: 'asset.run-again', args: { assetId: work.assetId, at: null } };
    case 'make a share':
      return { name: 'share.make', args: { ...onWork, personId: pick(people) ?? person.id, ...aboutShare } };
    case 'change a share':
      return onShare === null ? null : { name: 'share.change', args: { ...onShare, ...aboutShare } };
    case 'pass a share on':
      return onShare === null
        ? null
        : { name: 'share.pass-on', args: { ...onShare, personId: pick(others) ?? person.id } };
    case 'dissolve a share':
      return onShare === null ? null : { name: 'share.dissolve', args: onShare };
    case 'number':
      return answer(stepOf('number'), { type: 'number', value: choice % 100 });
    case 'use part':
      return { name: 'part.use', args: { ...onWork, ...atStop, partId, binId, quantity: amount * 1000 } };
    case 'use too much':
      return { name: 'part.use', args: { ...onWork, partId, binId, quantity: 1e9 } };
    case 'start clock':
      return { name: 'clock.start', args: onWork };
    case 'stop clock':
      return {
        name: 'clock.stop',
        args: { workOrderId: view.peek('clocks', person.id)?.workOrderId ?? work.id, endedAt: null },
      };
    case 'break':
      return { name: 'clock.pause', args: { workOrderId: view.peek('clocks', person.id)?.workOrderId ?? work.id } };
    case 'start a mate’s clock':
      return { name: 'clock.start-for', args: { ...onWork, personIds: some(people) } };
    case 'type time of two':
      return {
        name: 'labor.add',
        args: { ...onWork, personId: person.id, alsoFor: some(people), ...labor(amount * 5) },
      };
    case 'time on no job':
      return {
        name: 'time.add',
        args: {
          siteId: work.siteId,
          startedAt: addMinutes(now, -60),
          minutes: amount * 10,
          reason: 'meeting',
          words: '',
        },
      };
    case 'take back time on no job': {
      const time = pick(view.peekAll('otherTimes'));
      return time === undefined ? null : { name: 'time.remove', args: { otherTimeId: time.id } };
    }
    case 'say none':
      return {
        name: 'none.say',
        args: { ...onWork, of: nonesOf[choice % nonesOf.length] ?? 'part' },
      };
    case 'plan a part':
      return choice % 3 === 0
        ? { name: 'part.leave-out', args: { ...onWork, partId, binId, reason: 'Still good' } }
        : { name: 'part.plan', args: { ...onWork, partId, binId, quantity: amount * 1000 } };
    case 'put back':
      return { name: 'part.return', args: { ...onWork, partId, binId, quantity: amount * 1000 } };
    case 'fit a numbered part': {
      const there = pick(view.peekList('installations', 'asset', work.assetId));
      const isSwapped = there !== undefined && choice % 2 === 0;
      return {
        name: 'part.use',
        args: {
          ...onWork,
          partId,
          binId,
          quantity: 1000,
          goesIn: { assetId: work.assetId, serial: `S-${choice % 6}` },
          ...(isSwapped ? { comesOut: comesOut(there, choice) } : {}),
        },
      };
    }
    case 'take a numbered part out': {
      const there = pick(view.peekAll('installations'));
      return there === undefined
        ? null
        : { name: 'part.take-out', args: { ...onWork, comesOut: comesOut(there, choice) } };
    }
    case 'urgency':
      return {
        name: 'work.set-urgency',
        args: { ...onWork, urgency: urgencies[choice % urgencies.length] ?? 'week', reason: 'Found so' },
      };
    case 'due':
      return {
        name: 'work.set-due',
        args: { ...onWork, dueAt: choice % 5 === 0 ? null : addMinutes(now, (choice % 900) - 200), reason: 'Agreed' },
      };
    case 'plan':
      return { name: 'work.plan', args: { ...onWork, day: choice % 4 === 0 ? null : dayAfter(now, choice % 6) } };
    case 'put off':
      return { name: 'work.put-off', args: { ...onWork, until: dayAfter(now, choice % 4), reason: 'Weather' } };
    case 'take up':
      return { name: 'work.take-up', args: onWork };
    case 'type time':
      return { name: 'labor.add', args: { ...onWork, personId: person.id, ...labor(amount * 15) } };
    case 'type bad time':
      return { name: 'labor.add', args: { ...onWork, personId: person.id, ...labor(-5) } };
    case 'amend time':
      return { name: 'labor.amend', args: { ...onWork, entryId: entryOf('labor'), ...labor(amount * 10) } };
    case 'amend part':
      return { name: 'part.amend', args: { ...onWork, entryId: entryOf('part'), quantity: amount * 1000 } };
    case 'take back':
      return {
        name: 'entry.withdraw',
        args: { ...onWork, entryId: pick(mine)?.id ?? asId<EntryId>('none'), reason: 'wrong' },
      };
    case 'read':
      return { name: 'reading.add', args: { ...onWork, pointId, value: choice % 90 } };
    case 'hold':
      return {
        name: 'work.hold',
        args: {
          ...onWork,
          ...(choice % 2 === 0 ? { reason: 'part', note: '' } : { reason: 'shift', note: `Left ${choice}` }),
        },
      };
    case 'resume':
      return { name: 'work.resume', args: onWork };
    case 'finish':
      return { name: 'work.finish', args: { ...onWork, ...(choice % 2 === 0 ? {} : { done: `Done ${choice}` }) } };
    case 'accept':
      return { name: 'work.accept', args: onWork };
    case 'hand back':
      return { name: 'work.hand-back', args: { ...onWork, reason: 'look again' } };
    case 'drop':
      return { name: 'work.drop', args: { ...onWork, reason: 'not needed' } };
    case 'add hazard':
      return { name: 'work.add-hazard', args: { ...onWork, hazard: `Hazard ${choice}`, control: 'Care' } };
    case 'photo':
      return {
        name: 'photo.add',
        args: { ...onWork, fileId: fileIdOf(choice), mediaType: 'image/jpeg', width: 4, height: 3, caption: '' },
      };
    case 'voice':
      return {
        name: 'voice.add',
        args: { ...onWork, fileId: fileIdOf(choice), mediaType: 'audio/webm', seconds: 1 + (choice % 90) },
      };
    case 'draw on a photo':
      return {
        name: 'photo.draw',
        args: {
          ...onWork,
          entryId: entryOf('photo'),
          fileId: fileIdOf(choice),
          mediaType: 'image/jpeg',
          width: 4,
          height: 3,
        },
      };
    case 'acknowledge':
      return {
        name: 'work.acknowledge-hazards',
        args: { ...onWork, hazardIds: work.hazards.map(({ id }) => asId(id)) },
      };
    case 'isolate':
      return isolation(isolationActs[choice % 4] ?? 'lock', null);
    case 'take a lock off':
      return isolation('unlock', null);
    case 'take another’s lock off':
      return isolation('unlock', pick(others) ?? null);
    case 'go on with what is planned': {
      const planned = works.find(({ plan, state }) => plan !== undefined && isOpen(state));
      if (planned === undefined) return null;
      const name = planned.state === 'ready' ? 'work.start' : 'work.finish';
      return { name, args: { workOrderId: planned.id } };
    }
    case 'take along': {
      const plan = pick(view.peekAll('plans'));
      if (plan === undefined) return null;
      const occurrence = plan.made + (plan.open === null || choice % 5 === 0 ? 1 : 0);
      return { name: 'plan.take-along', args: { planId: plan.id, occurrence, dueOn: dayAfter(now, 1), number: null } };
    }
    case 'give':
      return { name: 'work.give', args: { ...onWork, personIds: some(people), crewId: null } };
    case 'raise':
      return {
        name: 'work.raise',
        args: {
          number: null,
          assetId,
          title: `Found ${choice}`,
          reason: '',
          urgency: 'week',
          kind: 'corrective',
          tradeId: null,
          dueAt: null,
          estimateMinutes: 30,
          steps: [{ text: 'Look at it', question: { type: 'tick' }, under: null, when: null }],
          kit: [],
          tools: [],
          hazards: [],
          personIds: choice % 2 === 0 ? [person.id] : [],
          crewId: null,
          cameFrom: choice % 3 === 0 ? work.id : null,
          ...(choice % 3 === 0 ? { answers: some(steps.map(({ id }) => id)), carried: notesOf(mine) } : {}),
          ...wayOfRaising(choice, now),
        },
      };
    case 'say what is owed':
      return { name: 'owed.set', args: { kind: 'corrective', demands: demandsBy(choice) } };
    case 'follow a machine':
      return { name: 'asset.follow', args: { assetId: work.assetId, isFollowed: choice % 3 !== 0 } };
    case 'follow':
      return { name: 'work.follow', args: { ...onWork, isFollowed: choice % 3 > 0 } };
    case 'see notices':
      return { name: 'notices.see', args: { noticeIds: view.peekAll('notices').map(({ id }) => id) } };
    case 'choose notices': {
      const kind = noticeKinds[choice % noticeKinds.length] ?? 'given';
      return { name: 'notices.choose', args: { kind, isWanted: choice % 4 > 0, byMail: false, byPush: false } };
    }
    case 'stop another’s clock': {
      const clock = pick(view.peekAll('clocks').filter(({ id }) => id !== person.id));
      if (clock === undefined) return null;
      const args = { workOrderId: clock.workOrderId, personId: clock.id, endedAt: now, reason: 'went home' };
      return { name: 'clock.stop-for', args };
    }
    case 'take a label off':
      return { name: 'code.unbind', args: { code: `LABEL-${choice % 5}` } };
    case 'bind a label':
      return { name: 'code.bind', args: { code: `LABEL-${choice % 5}`, assetId } };
    case 'choose the kit list':
      return { name: 'kit-list.choose', args: { workOrderIds: some(works.map(({ id }) => id)) } };
    case 'share the kit list':
      return { name: 'kit-list.share', args: { personId: pick(others) ?? person.id, isShared: choice % 3 > 0 } };
    case 'tick the bag': {
      const ownerId = pick(people) ?? person.id;
      return { name: 'kit-list.tick', args: { ownerId, line: `line ${choice % 3}`, isIn: choice % 4 > 0 } };
    }
    default: {
      const inStores = storeDeedOf(what, choice, view, person, now);
      if (inStores !== undefined) return inStores;
      const aboutReports = reportDeedOf(what, choice, view, person, now);
      if (aboutReports === undefined) throw new Error(`Nobody knows how to ${what}.`);
      return aboutReports;
    }
  }
}
