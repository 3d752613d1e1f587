import { SETTINGS_ID, type ArgsOf, type Instant, type OperationName, type Outcome } from '@oilcan/core';
import {
  asId,
  instantFromMillis,
  type IndexName,
  type OperationId,
  type Person,
  type TableName,
  type Tables,
} from '@oilcan/core';
import { DateTime } from 'luxon';
import { uuidv7 } from 'uuidv7';
import { create } from 'zustand';
import { deviceName } from './device';
import { IndexedDatabase } from './indexed-database';
import type { KeptOperation } from './kept-operation';
import type { LocalDatabase } from './local-database';
import { markOnce } from './marks';
import { MemoryDatabase } from './memory-database';
import { Phone, type Contact } from './phone';
import { httpLink } from './server-link';

interface PhoneState {
  readonly phase: 'opening' | 'signed-out' | 'ready';
  /** Whether rows have arrived, so that an empty list means that there is nothing. */
  readonly hasRows: boolean;
  readonly person: Person | null;
  readonly kept: readonly KeptOperation[];
  readonly contact: Contact;
  /** Counts changes of the rows; selectors compare the rows themselves. */
  readonly changes: number;
}

/** What the screens see of the phone. */
export const usePhone = create<PhoneState>(() => ({
  phase: 'opening',
  hasRows: false,
  person: null,
  kept: [],
  contact: 'unknown',
  changes: 0,
}));

let phone: Phone | undefined;

function openedPhone(): Phone {
  if (phone === undefined) throw new Error('The phone has not been opened yet.');
  return phone;
}

function show(): void {
  const current = openedPhone();
  if (current.hasRows) markOnce('oilcan:rows');
  usePhone.setState((before) => ({
    phase: current.person === null ? 'signed-out' : 'ready',
    hasRows: current.hasRows,
    person: current.person,
    kept: current.kept,
    contact: current.contact,
    changes: before.changes + 1,
  }));
}

/** The present, as this phone's clock has it. */
export function now(): Instant {
  return instantFromMillis(Date.now());
}

async function openDatabase(): Promise<LocalDatabase> {
  try {
    return await IndexedDatabase.open('oilcan');
  } catch {
    return new MemoryDatabase();
  }
}

/** Opens the phone once; the screens come to life with it. */
export async function openPhone(): Promise<void> {
  if (phone !== undefined) return;
  phone = new Phone({
    database: await openDatabase(),
    server: httpLink,
    device: deviceName(),
    now,
    deviceTime: () => DateTime.now().toISO(),
    newOperationId: () => asId<OperationId>(uuidv7()),
    onChange: show,
  });
  await phone.open();
}

export function synchronize(): Promise<void> {
  return openedPhone().synchronize();
}

/** Does an operation at once and lets it be sent behind. */
export async function perform<N extends OperationName>(name: N, args: ArgsOf<N>): Promise<Outcome> {
  const outcome = await openedPhone().perform(name, args);
  if (outcome.ok) void synchronize();
  return outcome;
}

export async function signIn(name: string, password: string): Promise<void> {
  const { person } = await httpLink.signIn(name, password);
  await openedPhone().signIn(person);
  void synchronize();
}

/** Ends the session here and, if it can be reached, on the server. */
export async function signOut(): Promise<void> {
  await httpLink.signOut().catch(() => undefined);
  await openedPhone().signOut();
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

/** All rows of a table. */
export function useTable<T extends TableName>(table: T): readonly Tables[T][] {
  return usePhone(() => phone?.view.peekAll(table) ?? none);
}

/** A row as it stands, for code that runs once and not on every draw. */
export function peekRow<T extends TableName>(table: T, id: string): Tables[T] | undefined {
  return phone?.view.peek(table, id);
}

export function useSettings(): Tables['settings'] | undefined {
  return useRow('settings', SETTINGS_ID);
}
