import { ofSite, ofWork, type TablesNamed } from '../../../records/table';
import type { Acknowledgement } from './acknowledgement';
import type { HazardRegister } from './hazard-register';

declare module '../../../records/table' {
  interface TableTypes {
    acknowledgements: { row: Acknowledgement; index: 'site' | 'workOrder' };
    hazardRegister: { row: HazardRegister; index: 'site' };
  }
}

export const hazardsTables: TablesNamed<'acknowledgements' | 'hazardRegister'> = {
  acknowledgements: { ...ofWork, indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId } },
  hazardRegister: { ...ofSite, since: 15, indexes: { site: (row) => row.siteId } },
};
