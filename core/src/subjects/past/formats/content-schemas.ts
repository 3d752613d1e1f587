import type { EntryContents, EntryKind } from '../../orders/work/entries';

/** A part of a schema (JSON Schema 2020-12). */
type Schema = Readonly<Record<string, unknown>>;

/** What the content of a kind of entry holds in a published record. */
interface ContentSchema<K extends EntryKind> {
  readonly required: readonly (keyof EntryContents[K] & string)[];
  /** What more there is to say of some of it than that it is there. */
  readonly properties: { readonly [P in keyof EntryContents[K]]?: Schema };
}

const moment: Schema = { $ref: '#/$defs/moment' };
const momentIfAny: Schema = { $ref: '#/$defs/momentIfAny' };
const money: Schema = { $ref: '#/$defs/money' };
const words: Schema = { type: 'string' };
const minutes: Schema = { type: 'integer', minimum: 1 };
const file: Schema = { type: 'string', pattern: '^[0-9a-f]{64}$', description: 'SHA-256 of the file' };
const states: Schema = { enum: ['ready', 'underway', 'held', 'finished', 'accepted', 'dropped'] };
const ifAny = (schema: Schema): Schema => ({ anyOf: [schema, { type: 'null' }] });
const code = (means: string): Schema => ({
  type: 'string',
  pattern: '^(\\d(\\.\\d)?)?$',
  description: `${means}; empty where nobody said`,
});

/** The content of every kind of entry. Further fields may come with later versions; readers pass over those that they do not know. */
const contentSchemas: { readonly [K in EntryKind]: ContentSchema<K> } = {
  labor: {
    required: ['personId', 'startedAt', 'minutes', 'timeType'],
    properties: {
      startedAt: moment,
      minutes,
      timeType: { enum: ['regular', 'overtime', 'travel'] },
      cost: ifAny(money),
    },
  },
  part: {
    required: ['partId', 'binId', 'quantity', 'cost'],
    properties: { quantity: { type: 'integer', description: 'Thousandths of the unit' }, cost: money },
  },
  removal: {
    required: ['partId', 'serial', 'fate', 'binId'],
    properties: { serial: words, fate: words, binId: ifAny(words) },
  },
  kit: { required: ['partId'], properties: { partId: words } },
  fault: {
    required: ['mode', 'mechanism', 'cause', 'detection', 'activity', 'component'],
    properties: {
      mode: { type: 'string', pattern: '^[A-Z]{3}$', description: 'Failure mode' },
      mechanism: code('Failure mechanism'),
      cause: code('Failure cause'),
      detection: { type: ['integer', 'null'], minimum: 1, maximum: 10 },
      activity: { type: ['integer', 'null'], minimum: 1, maximum: 12 },
    },
  },
  stoppage: {
    required: ['from', 'to', 'extent', 'isPlanned'],
    properties: { from: moment, to: momentIfAny, extent: { enum: ['full', 'reduced'] } },
  },
  reading: {
    required: ['pointId', 'value', 'level'],
    properties: { value: { type: 'number' }, level: { enum: ['normal', 'alert', 'alarm'] } },
  },
  note: { required: ['text'], properties: { text: words } },
  report: {
    required: ['reportId', 'number', 'words', 'reportedAt'],
    properties: { number: { type: 'string', pattern: '^P-' }, words, reportedAt: moment },
  },
  expense: { required: ['amount', 'words'], properties: { amount: money, words } },
  service: {
    required: ['words', 'supplier', 'agreed', 'arrivedPercent', 'cost'],
    properties: { words, agreed: money, arrivedPercent: { type: 'integer', minimum: 1, maximum: 100 }, cost: money },
  },
  tool: {
    required: ['words', 'startedAt', 'minutes', 'ratePerHour', 'cost'],
    properties: { words, startedAt: moment, minutes, ratePerHour: money, cost: money },
  },
  photo: {
    required: ['fileId', 'mediaType', 'caption'],
    properties: { fileId: file, mediaType: words, caption: words },
  },
  voice: {
    required: ['fileId', 'mediaType', 'seconds'],
    properties: { fileId: file, mediaType: words, seconds: { type: 'integer', minimum: 0 } },
  },
  file: {
    required: ['fileId', 'mediaType', 'name', 'bytes'],
    properties: { fileId: file, mediaType: words, name: words, bytes: { type: 'integer', minimum: 0 } },
  },
  none: { required: ['of'], properties: { of: { enum: ['part', 'stoppage', 'time', 'fault'] } } },
  answer: { required: ['stepId', 'answer', 'faulty'], properties: { stepId: words } },
  share: {
    required: ['shareId', 'act', 'personId', 'steps'],
    properties: { act: { enum: ['made', 'passedOn', 'changed', 'dissolved'] }, steps: { type: 'integer', minimum: 0 } },
  },
  stop: {
    required: ['stopId', 'act', 'reason'],
    properties: { act: { enum: ['putOff', 'leftOut', 'takenUp'] }, reason: words },
  },
  acknowledgement: { required: ['hazardIds'], properties: { hazardIds: { type: 'array', items: words } } },
  hazard: { required: ['id', 'hazard', 'control'], properties: { hazard: words, control: words } },
  isolation: {
    required: ['act', 'pointId', 'ofPersonId', 'reason'],
    properties: {
      act: { enum: ['shutDown', 'lock', 'release', 'test', 'unlock'] },
      pointId: ifAny(words),
      ofPersonId: ifAny(words),
      reason: words,
    },
  },
  schedule: { required: ['change', 'reason'], properties: { reason: words } },
  given: {
    required: ['from', 'condition', 'where'],
    properties: { from: words, condition: words, where: words },
  },
  returned: {
    required: ['condition', 'reservations', 'signature'],
    properties: { condition: words, reservations: words },
  },
  state: { required: ['from', 'to', 'reason'], properties: { from: states, to: states, reason: words } },
  withdrawal: { required: ['reason'], properties: { reason: words } },
};

/** The content of an entry, kind by kind, as `docs/record.schema.json` publishes it. */
export const contentSchema: Schema = {
  type: 'object',
  required: ['kind'],
  properties: { kind: { type: 'string' } },
  allOf: Object.entries(contentSchemas).map(([kind, then]) => ({
    if: { properties: { kind: { const: kind } } },
    then,
  })),
};
