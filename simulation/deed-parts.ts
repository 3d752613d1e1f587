import { addDays, asId, localDate, type EntryId, type FileId, type Instant, type LocalDay } from '@oilcan/core/kernel';
import type { Installation } from '@oilcan/core/plant/plant';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import { fates } from '@oilcan/core/stores/stock';
import { owedThings, type Demands, type Entry } from '@oilcan/core/orders/work';
import { binId, pointId } from '@oilcan/core/testing';

export function dayAfter(now: Instant, days: number): LocalDay {
  return addDays(localDate(now, 'utc'), days);
}

/** What comes out of a machine, with a fate of its own. */
export function comesOut(there: Installation, choice: number): ArgsOf<'part.take-out'>['comesOut'] {
  const fate = fates[choice % fates.length] ?? 'scrap';
  return {
    partId: there.partId,
    assetId: there.assetId,
    installationId: there.id,
    serial: there.serial,
    fate,
    binId: fate === 'keep' ? binId : null,
  };
}

/** One of a few files, so that some are taken twice. */
export function fileIdOf(choice: number): FileId {
  return asId<FileId>((choice % 9).toString().repeat(64));
}

/** In which way work is raised: done already, planned for a day, beyond an alarm of a point, or just so. */
export function wayOfRaising(choice: number, now: Instant): Partial<ArgsOf<'work.raise'>> {
  switch (choice % 4) {
    case 0:
      return { isDone: true };
    case 1:
      return { plannedOn: dayAfter(now, choice % 6) };
    case 2:
      return { alarmOf: pointId };
    default:
      return {};
  }
}

/** What somebody might want before a job is finished: mostly little, so that jobs are finished. */
export function demandsBy(choice: number): Demands {
  const wanted = owedThings.map((thing, index) => [thing, (choice >> (index % 8)) % 5 === 0 ? 'must' : 'asked']);
  return Object.fromEntries(wanted) as Demands;
}

/** Notes that may go along with further work. */
export function notesOf(entries: readonly Entry[]): EntryId[] {
  return entries
    .filter(({ content }) => content.kind === 'note')
    .slice(0, 2)
    .map(({ id }) => id);
}
