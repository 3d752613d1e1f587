import { historyOf, type Drawn, type SimulatedEvent } from './history';
import { brokenPromises } from './promises';
import { Shift } from './shift';
import { shrink } from './shrink';

/** Plays a history to its end, heals everything, and tells what is broken. */
async function play(history: readonly SimulatedEvent[]): Promise<string[]> {
  const shift = await Shift.begin();
  try {
    for (const event of history) await shift.play(event);
    await shift.heal();
    return [...shift.passedOver, ...(await brokenPromises(shift))];
  } catch (error) {
    return [`It fell over: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`];
  } finally {
    await shift.end();
  }
}

export interface Failure {
  readonly seed: number;
  readonly broken: readonly string[];
  /** A shorter history that still fails. */
  readonly history: readonly SimulatedEvent[];
}

/** Plays a seed; what fails is made as short as can be found. */
export async function simulate(seed: number, drawn?: Drawn): Promise<Failure | null> {
  const history = historyOf(seed, drawn);
  const broken = await play(history);
  if (broken.length === 0) return null;
  const shortest = await shrink(history, async (shorter) => (await play(shorter)).length > 0);
  return { seed, broken: await play(shortest), history: shortest };
}
