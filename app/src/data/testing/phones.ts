import * as laterTables from '../phone/later-tables';
import { instantFromMillis } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { ann, aStep, bob, newOperationId, smallWorks } from '@oilcan/core/testing';
import { MemoryDatabase } from '../database/memory-database';
import { noOtherWindows, type OtherWindows } from '../database/other-windows';
import { Phone } from '../phone/phone';
import { nextOn } from '@oilcan/core/finishing/plans';
import * as allOperations from '@oilcan/core/registry/operations';
import { TestServer } from './test-server';

const NOON = Date.parse('2026-11-23T11:00:00Z');

/** A server, phones on it, and the time. */
export class TestPhones {
  /** Minutes after noon, by the server's clock. */
  minute = 0;
  /** By how many the phones are ahead of it. */
  minutesAhead = 0;
  /** What a phone calls itself that has no name yet; null for the id of its person. */
  newDevice: string | null = null;
  readonly server: TestServer;

  private constructor(server: TestServer) {
    this.server = server;
  }

  static async open(): Promise<TestPhones> {
    const rows = smallWorks({ personIds: [ann.id, bob.id] }, [aStep(1), aStep(2)]);
    const clock = { now: () => instantFromMillis(NOON) };
    const phones = new TestPhones(await TestServer.open(rows, () => clock.now()));
    clock.now = () => instantFromMillis(NOON + phones.minute * 60_000);
    return phones;
  }

  /** A phone with its person signed in. */
  async of(person: Person, database = new MemoryDatabase(), others: OtherWindows = noOtherWindows): Promise<Phone> {
    const phone = new Phone({
      database,
      server: this.server.linkOf(person),
      newDevice: this.newDevice ?? person.id,
      clocks: {
        wall: () => NOON + (this.minute + this.minutesAhead) * 60_000,
        running: () => this.minute * 60_000,
      },
      deviceTime: instantFromMillis,
      newOperationId,
      others,
      rules: () => Promise.resolve(allOperations),
      laterTables: () => Promise.resolve(laterTables),
      planDates: () => nextOn,
      onChange: () => undefined,
      onUnforeseen: (error) => {
        throw error;
      },
    });
    await phone.open();
    await phone.signIn(person);
    return phone;
  }
}
