import { withSharedCode } from '../../ui/loading/shared-code';
import { noteKept } from './last-kept';
import type { DocumentType } from '@oilcan/core/plant/documents';
import type { FileType } from '@oilcan/core/plant/files';
import {
  asId,
  instantFromMillis,
  OilcanError,
  type Instant,
  type FileId,
  type OperationId,
  type SiteId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import { accepted, type Result, type Outcome, type Refusal } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { IndexName, Records, TableName, Tables } from '@oilcan/core/records';
import type { ArgsOf, OperationName } from '@oilcan/core/registry/operations';
import { SETTINGS_ID, settingsAt } from '@oilcan/core/orders/settings';
import { DateTime } from 'luxon';
import { uuidv7, V7Generator } from 'uuidv7';
import { useDeferredValue, useMemo } from 'react';
import { create } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { httpLink } from '../server/http-link';
import { isInUse, noteInUse, noteSignedOutUnheard, signedOutUnheard } from '../browser/device';
import type { Contact } from '../phone/contact';
import { IndexedDatabase } from '../database/indexed-database';
import type { KeptOperation } from '../database/kept-operation';
import { nowhere, type LocalDatabase } from '../database/local-database';
import { markOnce } from '../browser/marks';
import { MemoryDatabase } from '../database/memory-database';
import { forgetPasts } from '../past/past-cache';
import type { ShrunkPicture } from '../browser/shrink-picture';
import { windowsOfThisBrowser } from '../database/windows-of-this-browser';
import { Phone } from '../phone/phone';
import { isOfEcho, noteRecording } from '../../ui/press/double-press';
import { Once } from './once';
import { planDates } from './plan-dates';
import { loadRules } from '../rules/load-rules';
import { Unreachable } from '../server/server-link';
import { machineMillis } from '../browser/machine-clock';

/**
 * How this browser keeps what is recorded. `not-at-all`: only while this window is open. `outdated`: another window has
 * a newer Oilcan, and this one can no longer write. `taken-away`: the browser removed what was kept;
 * `-sent` where all of it is known to be on the server.
 */
export type Keeping = 'well' | 'not-at-all' | 'outdated' | 'taken-away' | 'taken-away-sent';

interface PhoneState {
  readonly phase: 'opening' | 'signed-out' | 'ready';
  /** Whether rows have arrived, so that an empty list means that there is nothing. */
  readonly hasRows: boolean;
  readonly person: Person | null;
  /** While it opens: whose phone it is, before their rows have been read. */
  readonly expected: Person | null;
  readonly kept: readonly KeptOperation[];
  /** Ids of the operations that are on this phone only. */
  readonly pending: ReadonlySet<string>;
  /** Those of them that are on their way just now. */
  readonly sending: ReadonlySet<OperationId>;
  readonly contact: Contact;
  /** When the server was last heard in full. */
  readonly heardAt: Instant;
  /** Milliseconds that this device's clock is ahead of the server's. */
  readonly clockAhead: number;
  readonly keeping: Keeping;
  /** Who signed out here without the server having heard of it, by name; null for nobody. */
  readonly signedOutUnheard: string | null;
  /** Counts changes of the rows; selectors compare the rows themselves. */
  readonly changes: number;
}

/** What the screens see of the phone. */
export const usePhone = create<PhoneState>(() => ({
  phase: 'opening',
  hasRows: false,
  person: null,
  expected: null,
  kept: [],
  pending: new Set(),
  sending: new Set(),
  contact: 'unknown',
  heardAt: nowhere.knownUntil,
  clockAhead: 0,
  keeping: 'well',
  signedOutUnheard: signedOutUnheard(),
  changes: 0,
}));

let phone: Phone | undefined;

function openedPhone(): Phone {
  if (phone === undefined) throw new Error('The phone has not been opened yet.');
  return phone;
}

/** As long as it is not known whom the form signed in that led here, nobody else is shown. */
let isBegunByForm = false;

function show(): void {
  const current = openedPhone();
  const person = isBegunByForm ? null : current.person;
  if (current.hasRows) markOnce('oilcan:rows');
  usePhone.setState((before) => ({
    phase: isBegunByForm ? 'opening' : person === null ? 'signed-out' : 'ready',
    hasRows: current.hasRows,
    person,
    kept: current.kept,
    pending: current.kept === before.kept ? before.pending : pendingOf(current.kept),
    sending: current.sending,
    contact: current.contact,
    heardAt: current.heardAt,
    clockAhead: current.clock.memory.ahead,
    changes: before.changes + 1,
  }));
}

const hasUnsent = (kept: readonly KeptOperation[]): boolean => kept.some(({ where }) => where !== 'sent');

function pendingOf(kept: readonly KeptOperation[]): ReadonlySet<string> {
  return new Set(kept.filter(({ where }) => where === 'pending').map(({ operation }) => operation.id));
}

/** The present, by the server's clock as far as this phone knows it. */
export function now(): Instant {
  return phone?.clock.now() ?? instantFromMillis(machineMillis());
}

const RETRY_MILLISECONDS = 2_000;

/** What was recorded here cannot be shown without the rules: where they do not come, the same is tried again until they do. */
async function inTheEnd<T>(task: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await task();
    } catch (error) {
      if (!(error instanceof Unreachable)) throw error;
      await new Promise((resolve) => setTimeout(resolve, RETRY_MILLISECONDS));
    }
  }
}

/** Draws what is around everything already, while the rows are read. */
function expect(person: Person | null): void {
  usePhone.setState(({ phase }) => (phase === 'opening' && !isBegunByForm ? { expected: person } : {}));
}

async function openDatabase(): Promise<LocalDatabase> {
  try {
    const onOutdated = (): void => usePhone.setState({ keeping: 'outdated' });
    const onLost = (): void =>
      usePhone.setState(({ kept }) => ({ keeping: hasUnsent(kept) ? 'taken-away' : 'taken-away-sent' }));
    const database = await IndexedDatabase.open('oilcan', { onOutdated, onLost }, () => inTheEnd(loadRules));
    void database.person().then(expect, () => undefined);
    return database;
  } catch {
    usePhone.setState({ keeping: 'not-at-all' });
    return new MemoryDatabase();
  }
}

/**
 * Somebody was signed in on this phone and nothing of it is left: the browser cleared its storage. While the session
 * lasts the work is fetched again; what was not sent is gone, and that is said. Whoever signed out is not brought back.
 */
async function lookForWhatWasTaken(): Promise<void> {
  if (openedPhone().person !== null || signedOutUnheard() !== null) return;
  const sayTaken = (): void => {
    if (usePhone.getState().keeping === 'well') usePhone.setState({ keeping: 'taken-away' });
  };
  if (isInUse()) sayTaken();
  // The server gives it with the page to whoever has no session.
  if (document.getElementById('sign-in') !== null) return;
  try {
    // A session that is open, and nothing here that belongs to it: everything was cleared, the note of its use as well.
    const { person } = await httpLink.session();
    sayTaken();
    await openedPhone().signIn(person);
  } catch (error) {
    if (!(error instanceof OilcanError) && !(error instanceof Unreachable)) throw error;
  }
}

const BY_FORM = 'signed-in';

/** Whether the form that stands in the page before any script led here, having signed somebody in. */
function cameByForm(): boolean {
  return new URLSearchParams(window.location.search).has(BY_FORM);
}

/** Begins as whom that form signed in. Where the server cannot be reached now, it is asked when the page is loaded again. */
async function beginByForm(): Promise<void> {
  try {
    const { person } = await httpLink.session();
    isBegunByForm = false;
    await begin(person);
    window.history.replaceState(window.history.state, '', window.location.pathname);
  } catch (error) {
    if (!(error instanceof OilcanError) && !(error instanceof Unreachable)) throw error;
  } finally {
    isBegunByForm = false;
    show();
  }
}

/** Asks the browser not to clear what is kept when it runs short of space. */
async function askToKeep(): Promise<void> {
  if (!('storage' in navigator) || typeof navigator.storage.persist !== 'function') return;
  if (!(await navigator.storage.persisted())) await navigator.storage.persist();
}

/** The notice about what the browser did with its storage was read. */
export function noteKeepingRead(): void {
  usePhone.setState({ keeping: 'well' });
}

/** Opens the phone once; the screens come to life with it. */
export async function openPhone(): Promise<void> {
  if (phone !== undefined) return;
  // Asked before anything is shown, which may lead to another address.
  isBegunByForm = cameByForm();
  phone = new Phone({
    database: await openDatabase(),
    server: httpLink,
    newDevice: uuidv7(),
    clocks: { wall: machineMillis, running: () => performance.now() },
    deviceTime: (milliseconds) => DateTime.fromMillis(milliseconds).toISO() ?? new Date(milliseconds).toISOString(),
    newOperationId: (milliseconds) => asId<OperationId>(ids.generateOrResetCore(milliseconds, 10_000).toString()),
    others: windowsOfThisBrowser('oilcan'),
    rules: loadRules,
    laterTables: () => withSharedCode(() => import('../phone/later-tables')),
    planDates,
    onChange: show,
    // The browser tells of it as of every other mistake.
    onUnforeseen: (error) =>
      queueMicrotask(() => {
        throw error;
      }),
  });
  const opened = phone;
  await inTheEnd(() => opened.open());
  if (isBegunByForm) await beginByForm();
  else await lookForWhatWasTaken();
}

const ids = new V7Generator();

/** When there was no signal last, in milliseconds of the device. */
let withoutSignalAt = 0;
/** So long after that, a new record is no reason to look for signal again; the timer does that. */
const HOPELESS_MILLISECONDS = 5_000;

const reached = new Set<() => void>();

/** Hears whenever everything was sent and fetched; gives what ends it. */
export function onReached(hear: () => void): () => void {
  reached.add(hear);
  return () => reached.delete(hear);
}

export async function synchronize(): Promise<void> {
  await openedPhone().synchronize();
  if (openedPhone().contact === 'reached') for (const hear of reached) hear();
  if (openedPhone().contact === 'no-signal') withoutSignalAt = machineMillis();
}

/** Sends what was just recorded, unless there was no signal a moment ago and nobody tries just now. */
function sendBehind(): void {
  const { contact, isSynchronizing } = openedPhone();
  const isHopeless = contact === 'no-signal' && machineMillis() - withoutSignalAt < HOPELESS_MILLISECONDS;
  // Whoever tries now may be past what was recorded before: it goes once more.
  if (!isHopeless || isSynchronizing) void synchronize();
}

/** Does an operation at once, the same but once, and lets it be sent behind. */
export async function perform<N extends OperationName>(name: N, args: ArgsOf<N>): Promise<Outcome> {
  const made = await performMaking(name, args);
  return made.ok ? accepted : made;
}

/** What came of the operation that was done last. */
let lastMade: Promise<Result<OperationId>> | null = null;
let once = new Once<Result<OperationId>>(() => performance.now());

/** As `perform`, of what makes something: gives its id, which is that of the operation. */
export async function performMaking<N extends OperationName>(name: N, args: ArgsOf<N>): Promise<Result<OperationId>> {
  if (isOfEcho() && lastMade !== null) return lastMade;
  noteRecording();
  const same = JSON.stringify([usePhone.getState().person?.id, name, args]);
  lastMade = once.do(
    same,
    () => openedPhone().performMaking(name, args),
    ({ ok }) => ok,
  );
  const made = await lastMade;
  if (!made.ok) return made;
  // An operation's entry carries its id.
  noteKept(peekRow('entries', made.value));
  sendBehind();
  return made;
}

export async function signIn(name: string, password: string): Promise<void> {
  await begin((await httpLink.signIn(name, password)).person);
}

/** Somebody is signed in with the server, and so on this phone. */
async function begin(person: Person): Promise<void> {
  once = new Once(() => performance.now());
  // With it the server ended the session that was open here before.
  noteUnheard(null);
  await forgetPasts();
  await openedPhone().signIn(person);
  noteInUse(true);
  await askToKeep();
  void synchronize();
}

/** Ends the session here, and on the server as soon as that can be reached. */
export async function signOut(): Promise<void> {
  const name = openedPhone().person?.name ?? null;
  noteUnheard(name);
  await tellSignedOut();
  noteInUse(false);
  await forgetPasts();
  await openedPhone().signOut();
}

function noteUnheard(name: string | null): void {
  noteSignedOutUnheard(name);
  usePhone.setState({ signedOutUnheard: name });
}

/** Tells the server that somebody signed out here, where it has not heard of it; gives whether it knows now. */
export async function tellSignedOut(): Promise<boolean> {
  if (usePhone.getState().signedOutUnheard === null) return true;
  try {
    await httpLink.signOut();
  } catch (error) {
    if (error instanceof Unreachable) return false;
    if (!(error instanceof OilcanError)) throw error;
    // Where it cannot end the session just now, it is asked again.
    return false;
  }
  noteUnheard(null);
  return true;
}

/** Makes a refused operation anew with other arguments, in place of the refused one. */
export async function mend(id: OperationId, args: unknown): Promise<Outcome> {
  const outcome = await openedPhone().mend(id, args);
  if (outcome.ok) void synchronize();
  return outcome;
}

/** Looks up a work order that this phone does not carry whole; tells whether it could. */
export async function lookUpWork(id: WorkOrderId): Promise<boolean> {
  try {
    await openedPhone().lookUp(id);
    return true;
  } catch (error) {
    if (error instanceof OilcanError || error instanceof Unreachable) return false;
    throw error;
  }
}

/** Keeps a picture on this phone until it is sent; gives why it could not. */
export function keepPicture({ id, mediaType, content }: ShrunkPicture): Promise<Refusal | null> {
  return keepFile(id, mediaType, content);
}

/** Keeps a file on this phone until it is sent; gives why it could not. */
export function keepFile(id: FileId, mediaType: FileType, content: Uint8Array<ArrayBuffer>): Promise<Refusal | null> {
  const by = usePhone.getState().person?.id;
  if (by === undefined) throw new OilcanError('not_signed_in');
  const about = { id, mediaType, bytes: content.length, by, isSent: false, keptAt: now() };
  return openedPhone().files.keep(about, content);
}

/** A file as it could be read. */
export type ReadFile =
  | { readonly is: 'here'; readonly content: Uint8Array<ArrayBuffer> }
  /** The server does not have it, or not for this person. */
  | { readonly is: 'missing' }
  | { readonly is: 'without signal' };

/** A file from this phone, else from the server, which is then kept here for a while. */
export async function readFile(id: FileId, mediaType: DocumentType | FileType): Promise<ReadFile> {
  const here = await openedPhone().files.read(id);
  if (here !== undefined) return { is: 'here', content: here };
  try {
    const content = await httpLink.file(id);
    const by = usePhone.getState().person?.id;
    if (by !== undefined) {
      const about = { id, mediaType, bytes: content.length, by, isSent: true, keptAt: now() };
      await openedPhone().files.keep(about, content);
    }
    return { is: 'here', content };
  } catch (error) {
    if (error instanceof OilcanError) return { is: error.code === 'not_found' ? 'missing' : 'without signal' };
    if (error instanceof Unreachable) return { is: 'without signal' };
    throw error;
  }
}

/** Whether a file is on this phone. */
export function hasFile(id: FileId): Promise<boolean> {
  return openedPhone().files.has(id);
}

export function dropRejected(id: OperationId): Promise<void> {
  return openedPhone().dropRejected(id);
}

/** One row; draws again only when that row changes. */
export function useRow<T extends TableName>(table: T, id: string | null | undefined): Tables[T] | undefined {
  return usePhone(() => (id === null || id === undefined ? undefined : phone?.view.peek(table, id)));
}

const none: readonly never[] = [];

/** The rows of an index; draws again only when one of them changes. */
export function useRows<T extends TableName>(
  table: T,
  index: IndexName<T>,
  key: string | undefined,
): readonly Tables[T][] {
  return usePhone(() => (key === undefined ? none : (phone?.view.peekList(table, index, key) ?? none)));
}

/**
 * As `useRows`, for what may follow a moment after what was pressed: it is drawn once that is on the screen. Give it to a
 * component that is `memo`, which is then not drawn before.
 */
export function useRowsLater<T extends TableName>(
  table: T,
  index: IndexName<T>,
  key: string | undefined,
): readonly Tables[T][] {
  return useDeferredValue(useRows(table, index, key));
}

/** The rows with these ids, as far as there are any; draws again only when one of them changes. */
export function useRowsById<T extends TableName>(table: T, ids: readonly string[]): readonly Tables[T][] {
  return usePhone(useShallow(() => ids.flatMap((id) => phone?.view.peek(table, id) ?? [])));
}

/** What the person sees, for rules that read it by themselves. */
export function phoneRecords(): Pick<Records, 'get' | 'list'> {
  return openedPhone().view;
}

/** All rows of a table. */
export function useTable<T extends TableName>(table: T): readonly Tables[T][] {
  return usePhone(() => phone?.view.peekAll(table) ?? none);
}

/** A row as it stands, for code that runs once and not on every draw. */
export function peekRow<T extends TableName>(table: T, id: string): Tables[T] | undefined {
  return phone?.view.peek(table, id);
}

/** The rows of an index as they stand. */
export function peekRows<T extends TableName>(table: T, index: IndexName<T>, key: string): readonly Tables[T][] {
  return phone?.view.peekList(table, index, key) ?? none;
}

/** All rows of a table as they stand. */
export function peekAll<T extends TableName>(table: T): readonly Tables[T][] {
  return phone?.view.peekAll(table) ?? none;
}

/** The settings as they hold on a site: the given one, else the only one of the person; of several, what holds for all. */
export function useSettings(siteId?: SiteId): Tables['settings'] | undefined {
  const settings = useRow('settings', SETTINGS_ID);
  const only = usePhone(({ person }) => (person?.siteIds.length === 1 ? person.siteIds[0] : undefined));
  const site = useRow('sites', siteId ?? only);
  return useMemo(() => (settings === undefined ? undefined : settingsAt(settings, site)), [settings, site]);
}
