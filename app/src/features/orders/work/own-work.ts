import { hasRole } from '@oilcan/core/operations';
import type { Crew, Person } from '@oilcan/core/plant/people';
import { isAssignedTo, type WorkOrder } from '@oilcan/core/orders/work';

interface Rows {
  readonly workOrders: readonly WorkOrder[];
  readonly crews: ReadonlyMap<string, Crew>;
}

/** The person's own work; a lead's is everybody's. */
export function ownWork(rows: Rows, person: Person): WorkOrder[] {
  const isLead = hasRole(person, ['lead']);
  return rows.workOrders.filter((work) => {
    if (work.state === 'dropped') return false;
    const crew = work.crewId === null ? undefined : rows.crews.get(work.crewId);
    return isLead || isAssignedTo(work, person.id, crew);
  });
}
