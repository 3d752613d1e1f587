import { defineError } from '../../kernel/errors/catalogue';

export const faultsErrors = {
  fault_elsewhere: defineError(409, 'This part belongs to another machine. Record it on a job of that machine.'),
};

type FaultsErrors = typeof faultsErrors;
declare module '../../kernel/errors/catalogue' {
  interface ErrorCodes extends FaultsErrors {}
}
