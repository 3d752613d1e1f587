import { addMinutes } from '@oilcan/core/kernel';
import type { Notice } from '@oilcan/core/overview/notices';
import { MemoryRecords, type Change } from '@oilcan/core/records';
import { ann, anOperation, aStep, aWorkOrder, bob, noon, put, sideAt, smallWorks, workId } from '@oilcan/core/testing';
import * as allOperations from '@oilcan/core/registry/operations';
import type { KeptOperation } from '../database/kept-operation';
import { Overlay } from './overlay';

const rules = () => Promise.resolve(allOperations);
const days = (count: number) => addMinutes(noon, count * 24 * 60);
const tick = (sequence: number): KeptOperation => ({
  operation: anOperation('step.answer', { workOrderId: workId, stepId: aStep(1).id, answer: { type: 'tick' } }),
  sequence,
  where: 'pending',
});
const stepIn = (overlay: Overlay) => overlay.view.peek('steps', aStep(1).id);

let overlay: Overlay;
beforeEach(() => {
  overlay = new Overlay();
  overlay.begin(smallWorks({}, [aStep(1)]));
});

describe('what the person sees', () => {
  it('is the server’s rows with one’s own operations on top, and without them again', async () => {
    await overlay.replay([], [tick(1)], ann, sideAt(noon), rules);
    expect(stepIn(overlay)?.answer?.by).toBe(ann.id);
    await overlay.replay([], [], ann, sideAt(noon), rules);
    expect(stepIn(overlay)).toEqual(aStep(1));
  });

  it('takes in what came from the server under them', async () => {
    const mine = tick(1);
    await overlay.replay([], [mine], ann, sideAt(noon), rules);
    await overlay.replay(
      [put('steps', aStep(1, { type: 'tick' }, { text: 'Other words' }))],
      [mine],
      ann,
      sideAt(noon),
      rules,
    );
    expect(stepIn(overlay)).toMatchObject({ text: 'Other words', answer: { by: ann.id } });
    await overlay.replay([], [], ann, sideAt(noon), rules);
    expect(stepIn(overlay)).toMatchObject({ text: 'Other words', answer: null });
  });

  it('does not touch a row that is as it was', async () => {
    const before = overlay.view.peek('assets', 'asset');
    await overlay.replay([], [tick(1)], ann, sideAt(noon), rules);
    expect(overlay.view.peek('assets', 'asset')).toBe(before);
  });

  it('has nothing of what was refused', async () => {
    const refused: KeptOperation = {
      ...tick(1),
      where: 'rejected',
      wasApplied: true,
      refusal: { ok: false, code: 'not_found', values: {}, field: null },
    };
    await overlay.replay([], [refused], ann, sideAt(noon), rules);
    expect(stepIn(overlay)?.answer).toBeNull();
  });
});

describe('what is carried no longer', () => {
  const notice = (id: string, given: Partial<Notice>): Change =>
    put('notices', {
      id,
      personId: ann.id,
      kind: 'given',
      workOrderId: workId,
      number: 'W-1',
      title: '',
      facts: [],
      at: noon,
      seenAt: null,
      ...given,
    });
  const goneAt = (count: number): string[] => overlay.outlived(days(count)).map(({ table, id }) => `${table} ${id}`);

  it('is work that ended three days ago, with all that belongs to it', () => {
    overlay.begin(smallWorks({ state: 'accepted', finishedAt: noon, closedAt: noon }, [aStep(1)]));
    expect(goneAt(2)).toEqual([]);
    expect(goneAt(3)).toEqual([`workOrders ${workId}`, `steps ${aStep(1).id}`]);
  });

  it('is a notice two weeks after it was seen, and sixty days after it came unseen', () => {
    overlay.view.change([notice('seen', { seenAt: noon }), notice('unseen', {})]);
    expect([goneAt(13), goneAt(14), goneAt(60)]).toEqual([[], ['notices seen'], ['notices seen', 'notices unseen']]);
  });

  it('are the contents of work that was given to others', () => {
    const given = put('workOrders', aWorkOrder({ personIds: [bob.id] }));
    const changes = overlay.withTheirRows([given], ann);
    expect(changes.map(({ table, row }) => [table, row === null])).toEqual([
      ['workOrders', false],
      ['steps', true],
    ]);
    expect(overlay.withTheirRows([given], bob)).toEqual([given]);
  });

  it('is looked at for now, and not where one’s own operations lie', async () => {
    await overlay.replay([], [tick(1)], ann, sideAt(noon), rules);
    overlay.showForNow([put('steps', aStep(1)), put('steps', aStep(2))]);
    expect(stepIn(overlay)?.answer?.by).toBe(ann.id);
    expect(overlay.view.peek('steps', aStep(2).id)).toBeDefined();
    expect(overlay.view).toBeInstanceOf(MemoryRecords);
  });
});
