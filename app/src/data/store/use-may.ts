import { hasRole } from '@oilcan/core/operations';
import { operationNamed, type OperationName } from '@oilcan/core/registry/operations';
import { usePhone } from './store';

/** Whether an operation is for the roles of the person on whose phone this is: what would be refused has no key. */
export function useMay(name: OperationName): boolean {
  return usePhone(({ person }) => person !== null && hasRole(person, operationNamed(name).roles));
}
