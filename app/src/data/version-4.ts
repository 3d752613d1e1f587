import type { Change, Operation, Person } from '@oilcan/core';

/** What the phone's database held before its fourth version, brought to the shapes of that version. Never changed again. */
type Fields = Readonly<Record<string, unknown>>;

function renamed(fields: Fields, from: string, to: string): Fields {
  if (!(from in fields)) return fields;
  const { [from]: value, ...rest } = fields;
  return { ...rest, [to]: value };
}

export function personOfVersion4(person: object): Person {
  return renamed(person as Fields, 'craftId', 'tradeId') as unknown as Person;
}

const asList = (value: unknown): readonly Fields[] => (Array.isArray(value) ? (value as Fields[]) : []);

/** Costs of people are not for everybody any more; rows that only then may be seen come with the next pull. */
const upgrades: Readonly<Record<string, (row: Fields) => Fields>> = {
  settings: ({ crafts, overtimePercent: _, ...row }) => ({
    ...row,
    trades: asList(crafts).map(({ id, name }) => ({ id, name })),
    laborCostSeenBy: ['lead'],
  }),
  sites: (row) => ({ zone: null, currency: null, ...row }),
  people: (row) => renamed(row, 'craftId', 'tradeId'),
  crews: (row) => ({ siteIds: [], ...row }),
  stock: (row) => ({ siteId: '', ...row }),
  codes: (row) => ({ previous: [], ...row }),
  workOrders: (row) => ({
    ...renamed(row, 'craftId', 'tradeId'),
    hazards: asList(row['hazards']).map((hazard) => renamed(hazard, 'precaution', 'control')),
  }),
  notices: ({ detail, ...row }) => ({
    ...row,
    facts: typeof detail === 'string' && detail !== '' ? [{ is: 'reason', reason: detail }] : [],
  }),
  entries: (row) => ({ ...row, content: contentOfVersion4(row['content'] as Fields) }),
};

function contentOfVersion4(content: Fields): Fields {
  const cost = content['cost'] as { readonly minor: number; readonly currency: string } | undefined;
  switch (content['kind']) {
    case 'labor':
      return { ...content, rate: null, cost: null };
    case 'part': {
      const quantity = Number(content['quantity']);
      const minor = quantity > 0 ? ((cost?.minor ?? 0) * 1000) / quantity : 0;
      return { ...content, unitPrice: { minor, currency: cost?.currency ?? 'EUR' } };
    }
    case 'hazard':
      return renamed(content, 'precaution', 'control');
    default:
      return content;
  }
}

/** The same change where nothing of it is new. */
export function rowOfVersion4(change: Change): Change {
  const upgrade = upgrades[change.table];
  if (upgrade === undefined || change.row === null) return change;
  return { ...change, row: upgrade(change.row as unknown as Fields) } as unknown as Change;
}

/** The same operation where nothing of it is new. */
export function operationOfVersion4(operation: Operation): Operation {
  const { name, args } = operation;
  if (name !== 'work.add-hazard' || typeof args !== 'object' || args === null) return operation;
  return { ...operation, args: renamed(args as Fields, 'precaution', 'control') };
}
