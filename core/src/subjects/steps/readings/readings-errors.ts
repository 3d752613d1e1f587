import { defineError } from '../../../kernel/errors/catalogue';

export const readingsErrors = {
  reading_out_of_range: defineError(400, 'That number is too large to be a reading.'),
  meter_runs_back: defineError(409, (v) => `This meter only counts up; it stood at ${v['latest']} ${v['unit']}.`),
  meter_read_lower_since: defineError(
    409,
    (v) => `This meter only counts up, and was read at ${v['later']} ${v['unit']} later than this.`,
  ),
  unit_of_another_quantity: defineError(
    400,
    (v) => `This is read in ${v['unit']}, or in a unit that can be brought to it.`,
  ),
  figure_not_workable: defineError(400, 'These values do not go together. Look at each of them again.'),
  point_not_derived: defineError(400, (v) => `“${v['point']}” is read off, not worked out.`),
  point_no_meter: defineError(400, (v) => `“${v['point']}” is no meter.`),
  point_of_other_machine: defineError(409, (v) => `“${v['point']}” is not on the machine of this work order.`),
};

type ReadingsErrors = typeof readingsErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends ReadingsErrors {}
}
