import { roles, type Role } from '../operations/actor';
import { demands, owedThings, type Demands } from '../subjects/orders/work/demands';
import { rulesOf } from '../subjects/orders/raise-rules/raise-rules';
import { anOperation, aPerson, otherSite, put, site } from '../testing/builders';
import { aStore, storeId } from '../testing/store-builders';
import { codeOf, Works } from '../testing/works';
import { operationNamed, operations, type OperationName } from './operations';

const names = Object.keys(operations) as OperationName[];
const somebody = (given: Parameters<typeof aPerson>[0]) => aPerson({ id: 'somebody' as never, ...given });
const [wanted] = demands;
const allWanted = Object.fromEntries(owedThings.map((thing) => [thing, wanted])) as unknown as Demands;
const { id: _id, ...rules } = rulesOf(site, undefined);

/** What sets rules, with arguments that its schema takes. */
const governing: Readonly<Partial<Record<OperationName, object>>> = {
  'owed.set': { kind: 'corrective', demands: allWanted },
  'review.set-limits': {
    estimateTimes: 2,
    minutesOver: 30,
    unplannedParts: 2,
    lateHours: 24,
    repeatShare: 0.5,
    costDeviations: 3,
  },
  'faults.set-catalogue': { rows: [] },
  'person.leave': { personId: 'bob' },
  'raise-rules.set': rules,
  'store.count-blind': { siteId: site, storeId, isBlind: true },
};

describe('who may do an operation', () => {
  it.each(names)('is said by its roles, of which it refuses all others: %s', async (name) => {
    const definition = operationNamed(name);
    expect(definition.roles.length).toBeGreaterThan(0);
    for (const role of roles) {
      const person = somebody({ roles: [role], isResponsibleForAll: true });
      const { code } = {
        code: codeOf(await new Works().send(anOperation(name, {} as never, { by: person.id }), person)),
      };
      if (!definition.roles.includes(role)) expect([role, code]).toEqual([role, 'role_missing']);
      else expect([role, code]).not.toEqual([role, 'role_missing']);
    }
    const noRole = somebody({ roles: [] });
    expect(codeOf(await new Works().send(anOperation(name, {} as never, { by: noRole.id }), noRole))).toBe(
      'role_missing',
    );
  });

  it('says of everything that sets rules for whom they hold', () => {
    const said = names.filter((name) => operationNamed(name).governs !== 'nothing');
    expect(said.sort()).toEqual(Object.keys(governing).sort());
  });

  it.each(
    Object.entries(governing).flatMap(([name, args]) =>
      roles.flatMap((role) =>
        [[], [otherSite], [site], [site, otherSite]].flatMap((siteIds) =>
          [false, true].map((isResponsibleForAll) => [name, role, siteIds, isResponsibleForAll, args] as const),
        ),
      ),
    ),
  )('%s by a %s of %j, responsible for all: %s', async (name, role: Role, siteIds, isResponsibleForAll, args) => {
    const works = new Works();
    const person = somebody({
      roles: [role],
      siteIds: [...siteIds],
      ...(isResponsibleForAll ? { isResponsibleForAll } : {}),
    });
    works.records.change([put('people', person), put('stores', aStore())]);
    const code = codeOf(await works.send(anOperation(name as OperationName, args as never, { by: person.id }), person));
    const { governs } = operationNamed(name as OperationName);
    const isTheirs = governs === 'everything' ? isResponsibleForAll : siteIds.includes(site);
    const refused = governs === 'everything' ? 'not_responsible_for_all' : 'not_found';
    expect(code).toBe(role !== 'lead' ? 'role_missing' : isTheirs ? 'accepted' : refused);
  });

  it('leaves what everybody shares to those who are responsible for it: nothing else changes settings or the catalogue of parts', async () => {
    const works = new Works();
    const storekeeper = somebody({ roles: ['storekeeper'] });
    works.records.change([put('people', storekeeper)]);
    const before = works.records.peekAll('parts');
    const receipt = { partId: 'part', binId: 'bin', quantity: 1_000, unitPriceMinor: 285_715_150 };
    expect(codeOf(await works.do('stock.receive', receipt as never, storekeeper))).toBe('accepted');
    expect(works.records.peekAll('parts')).toEqual(before);
  });
});
