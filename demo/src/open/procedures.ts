import { asId, type ProcedureId } from '@oilcan/core/kernel';
import type { Procedure } from '@oilcan/core/steps/procedures';
import { lifts } from '../mountain/people';
import type { Sector } from '../mountain/mountain';
import { newSteps, type StepPlan } from './step-plan';

interface ProcedurePlan {
  readonly title: string;
  readonly equipmentClasses: readonly string[];
  readonly trade: string;
  readonly steps: readonly StepPlan[];
}

const plans: readonly ProcedurePlan[] = [
  {
    title: 'Change a shaft seal',
    equipmentClasses: ['gearbox', 'pump'],
    trade: 'mechanical',
    steps: [
      'Drain to below the seal',
      'Coupling hub off, its position marked',
      { says: '?Shaft where the lip runs', parts: [{ says: 'Sleeve fitted', when: { is: 'faulty' } }] },
      'New seal in, lip towards the oil',
      'Hub on, bolts crosswise',
      'Oil filled to the mark',
      '?Dry after 30 min at full speed',
    ],
  },
  {
    title: 'Change a hydraulic hose',
    equipmentClasses: ['hydraulic-unit'],
    trade: 'hydraulics',
    steps: [
      'Pressure released, gauge at zero',
      'Both ends closed at once, nothing runs out',
      'New hose without a twist, clamp padded',
      'Bled twice',
      '?Dry at full pressure',
    ],
  },
  {
    title: 'Change brake linings',
    equipmentClasses: ['brake'],
    trade: 'mechanical',
    steps: [
      'Machine locked out',
      '?Disc surface',
      'All linings of the axle changed',
      'Air gap set',
      '?Three test stops within the limits',
    ],
  },
  {
    title: 'Take an oil sample',
    equipmentClasses: ['gearbox', 'combustion-engine'],
    trade: 'mechanical',
    steps: [
      'Taken while warm, from the middle of the sump',
      {
        says: 'How the oil looks',
        asks: {
          type: 'choice',
          isSeveral: true,
          options: [
            { key: 'clear', words: 'Clear', isFaulty: false },
            { key: 'milky', words: 'Milky', isFaulty: true },
            { key: 'metal', words: 'Metal in it', isFaulty: true },
          ],
        },
        parts: [
          { says: 'What lies on the magnet', asks: { type: 'photo' }, when: { is: 'equal', value: 'metal' } },
          { says: 'Lead told, before the next start', when: { is: 'oneOf', values: ['milky', 'metal'] } },
        ],
      },
      'Bottle marked with machine, day and hours',
    ],
  },
  {
    title: 'Find and clear an electrical fault',
    equipmentClasses: ['control-cabinet', 'electric-motor'],
    trade: 'electrical',
    steps: [
      'Locked out, tested dead',
      '?Terminals and plugs',
      { says: 'What was measured', asks: { type: 'text' } },
      'Every stop button tested',
    ],
  },
];

/** The procedures of a mountain. */
export function proceduresOf(sector: Sector): Procedure[] {
  return plans.map(({ title, equipmentClasses, trade, steps }, index) => ({
    id: asId<ProcedureId>(sector.idOf(`procedure-${index + 1}`)),
    siteId: lifts,
    title,
    equipmentClasses,
    tradeId: trade,
    steps: newSteps(steps, sector.idOf),
  }));
}
