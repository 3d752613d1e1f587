import type { Crew, Person } from '../../plant/people/people';
import type { Asset, Place } from '../../plant/plant/plant';
import type { Procedure } from '../../steps/procedures/procedure';
import type { Report } from '../../raising/reports/report';
import type { Part } from '../../stores/stock/stock';
import type { WorkOrder } from '../../orders/work/work-order';
import type { Findable } from './finder';

/** The rows whose names belong to what is looked for. */
export interface NamesToFind {
  readonly asset: (id: string) => Asset | undefined;
  readonly place: (id: string) => Pick<Place, 'name'> | undefined;
  readonly person: (id: string) => Pick<Person, 'name'> | undefined;
  readonly crew: (id: string) => Pick<Crew, 'name'> | undefined;
  readonly part: (id: string) => Pick<Part, 'number' | 'name'> | undefined;
  /** What a trade is called. */
  readonly trade: (id: string) => string | undefined;
}

const joined = (...words: readonly (string | undefined)[]): string =>
  words.filter((word) => word !== undefined).join(' ');

/** A job: by its number, what it is, its machine and place, and who has it, its kind, trade, reason and parts. */
export function findableWork(work: WorkOrder, names: NamesToFind): Findable {
  const { asset, place, person, crew, part, trade } = names;
  const machine = asset(work.assetId);
  return {
    id: work.id,
    number: work.number,
    name: work.title,
    where: joined(machine?.name, machine?.tag, place(work.placeId)?.name),
    words: joined(
      work.kind,
      trade(work.tradeId),
      ...work.personIds.map((id) => person(id)?.name),
      work.crewId === null ? undefined : crew(work.crewId)?.name,
      work.reason,
      ...work.kit.map(({ partId }) => joined(part(partId)?.number, part(partId)?.name)),
    ),
  };
}

/** A machine: by its tag, its name, its place and what it is part of, and its plate and class. */
export function findableAsset(asset: Asset, { asset: other, place }: Pick<NamesToFind, 'asset' | 'place'>): Findable {
  const { maker, model, serial } = asset.nameplate;
  return {
    id: asset.id,
    number: asset.tag,
    name: asset.name,
    where: joined(place(asset.placeId)?.name, asset.parentId === null ? undefined : other(asset.parentId)?.name),
    words: joined(asset.equipmentClass, maker, model, serial),
  };
}

export function findablePlace({ id, name }: Place): Findable {
  return { id, number: '', name, where: '', words: '' };
}

export function findablePart({ id, number, name }: Part): Findable {
  return { id, number, name, where: '', words: '' };
}

/** A procedure: by what it is called, what machines it is for, and its steps. */
export function findableProcedure({ id, title, equipmentClasses, steps }: Procedure): Findable {
  return {
    id,
    number: '',
    name: title,
    where: equipmentClasses.join(' '),
    words: steps.map(({ text }) => text).join(' '),
  };
}

/** A report: by its number, what was said, and its machine and place. */
export function findableReport(report: Report, { asset, place }: Pick<NamesToFind, 'asset' | 'place'>): Findable {
  const machine = report.assetId === null ? undefined : asset(report.assetId);
  return {
    id: report.id,
    number: report.number,
    name: report.words,
    where: joined(machine?.name, machine?.tag, report.placeId === null ? undefined : place(report.placeId)?.name),
    words: '',
  };
}
