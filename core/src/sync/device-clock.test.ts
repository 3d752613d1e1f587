import fc from 'fast-check';
import { parseInstant, toMillis } from '../kernel/time/instant';
import { DeviceClock, measureAhead } from './device-clock';
import { correctedTime, notAfter, type Stamp } from '../operations/stamp';

const HOUR = 3_600_000;
const start = Date.parse('2026-11-23T11:00:00Z');

/** A device whose clocks a test moves. */
class Device {
  wall = start;
  running = 0;
  readonly clock = new DeviceClock({ wall: () => this.wall, running: () => this.running });

  passes(milliseconds: number): void {
    this.wall += milliseconds;
    this.running += milliseconds;
  }

  stamped(): number {
    const { deviceTime, ahead } = this.clock.stamp();
    return deviceTime - ahead;
  }
}

describe('measuring a device’s clock', () => {
  it('takes the middle of question and answer, and says how far that may be off', () => {
    expect(measureAhead({ askedAt: 10_000, answeredAt: 10_400, serverTime: 8_200 })).toEqual({
      ahead: 2_000,
      within: 200,
    });
  });

  it('holds the true difference within its bounds, however the way there and back was shared (Cristian 1989)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -HOUR * 50, max: HOUR * 50 }),
        fc.nat(30_000),
        fc.nat(30_000),
        (truth, there, back) => {
          const { ahead, within } = measureAhead({
            askedAt: start + truth,
            serverTime: start + there,
            answeredAt: start + truth + there + back,
          });
          return Math.abs(ahead - truth) <= within + 0.5;
        },
      ),
    );
  });
});

describe('the clock of a device', () => {
  it('gives the server’s time when the device is two hours ahead', () => {
    const device = new Device();
    device.wall += 2 * HOUR;
    device.clock.measured({ askedAt: device.wall - 50, answeredAt: device.wall + 50, serverTime: start });
    expect(toMillis(device.clock.now())).toBe(start);
    expect(device.clock.stamp()).toEqual({ deviceTime: start + 2 * HOUR, ahead: 2 * HOUR });
  });

  it('is not moved by what a slow line would explain', () => {
    const device = new Device();
    expect(device.clock.measured({ askedAt: start, answeredAt: start + 8_000, serverTime: start })).toBe(false);
    expect(device.clock.measured({ askedAt: start, answeredAt: start + 8_000, serverTime: start - 5_500 })).toBe(true);
  });

  it('goes on as before when somebody sets the device back while it is used', () => {
    const device = new Device();
    device.passes(60_000);
    device.wall -= HOUR;
    device.passes(60_000);
    expect(toMillis(device.clock.now())).toBe(start + 120_000);
  });

  it('stamps in whole milliseconds, though the clock that only runs counts finer', () => {
    const device = new Device();
    device.passes(10.25);
    device.wall = start - HOUR;
    const { deviceTime, ahead } = device.clock.stamp();
    expect([deviceTime, ahead].every(Number.isInteger)).toBe(true);
  });

  it('counts a setting back once when it is measured before it is noticed', () => {
    const device = new Device();
    device.wall -= HOUR;
    device.clock.measured({ askedAt: device.wall, answeredAt: device.wall, serverTime: start });
    expect([toMillis(device.clock.now()), device.clock.memory.ahead]).toEqual([start, -HOUR]);
  });

  it('goes on from its last operation when the device was set back while it was off', () => {
    const before = new Device();
    const last = before.stamped();
    const wall = start - 3 * HOUR;
    const after = new DeviceClock({ wall: () => wall, running: () => 0 }, before.clock.memory);
    const { deviceTime, ahead } = after.stamp();
    expect(deviceTime).toBe(wall);
    expect(deviceTime - ahead).toBe(last + 1);
  });

  it('stamps in rising order whatever happens to the clock, once what was too far ahead is stamped anew', () => {
    const deed = fc.oneof(
      fc.record({ passes: fc.nat(HOUR) }),
      fc.record({ set: fc.integer({ min: -HOUR, max: HOUR }) }),
      fc.record({ measured: fc.integer({ min: -HOUR, max: HOUR }) }),
    );
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 40 }), (deeds) => {
        const device = new Device();
        let stamps: Stamp[] = [];
        for (const each of deeds) {
          if ('passes' in each) device.passes(each.passes);
          else if ('set' in each) device.wall += each.set;
          else {
            const at = device.wall;
            device.clock.measured({ askedAt: at, answeredAt: at, serverTime: at - each.measured });
            stamps = stamps.map((stamp) => notAfter(stamp, device.clock.memory.latest));
          }
          stamps = [...stamps, device.clock.stamp()];
        }
        const corrected = stamps.map(({ deviceTime, ahead }) => deviceTime - ahead);
        return corrected.every((time, index) => index === 0 || time >= (corrected[index - 1] ?? 0));
      }),
    );
  });
});

describe('the stamp of a device that was set forward', () => {
  it('ends at the present', () => {
    expect(notAfter({ deviceTime: start + HOUR, ahead: 0 }, start)).toEqual({ deviceTime: start + HOUR, ahead: HOUR });
    expect(notAfter({ deviceTime: start - 5, ahead: 0 }, start)).toEqual({ deviceTime: start - 5, ahead: 0 });
  });
});

describe('the corrected time of an operation', () => {
  const now = parseInstant('2026-11-23T12:00:00Z');

  it('is the device’s less what it was ahead, whatever its zone', () => {
    expect(correctedTime('2026-11-23T15:30:00+01:00', 3 * HOUR, now)).toBe('2026-11-23T11:30:00.000Z');
  });

  it('is the present for what would lie in the future', () => {
    expect(correctedTime('2026-11-24T15:30:00Z', 0, now)).toBe(now);
  });
});
