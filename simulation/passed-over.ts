import type { Person } from '@oilcan/core/plant/people';
import type { Knex } from 'knex';
import type { Phone } from '../app/src/data/phone/phone';

/** What was recorded up to the revision of a phone on work that it carries, and is not there: nothing, or a promise is broken. */
export async function passedOver(database: Knex, phone: Phone, person: Person): Promise<string[]> {
  const mine = phone.view.peekAll('workOrders').filter((work) => work.personIds.includes(person.id));
  if (mine.length === 0) return [];
  const ids: string[] = await database('entries')
    .whereIn(
      'work_order',
      mine.map(({ id }) => id),
    )
    .where('revision', '<=', phone.readUpTo)
    .pluck('id');
  return ids.filter((id) => phone.view.peek('entries', id) === undefined);
}
