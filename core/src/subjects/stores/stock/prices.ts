import type { PartId, SiteId } from '../../../kernel/ids';
import type { Records } from '../../../records/records';
import { SETTINGS_ID, settingsAt } from '../../orders/settings/settings';
import type { UnitPrice } from './part-content';
import type { Part } from './stock';

/** What one unit of a part costs on a site, by what came in there. */
export interface SitePrice {
  /** `siteId@partId`. */
  readonly id: string;
  readonly siteId: SiteId;
  readonly partId: PartId;
  /** In the smallest unit of the site's currency; may be a fraction of it. */
  readonly priceMinor: number;
}

export function sitePriceId(siteId: SiteId, partId: PartId): string {
  return `${siteId}@${partId}`;
}

/** The currencies by which a price is told. */
interface Currencies {
  readonly ofSite: string;
  readonly ofOrganization: string;
}

/** What one unit costs on a site: by what came in there, else by the catalogue, which is in the currency of the organization. */
export function unitPriceOf(
  { priceMinor }: Pick<Part, 'priceMinor'>,
  onSite: Pick<SitePrice, 'priceMinor'> | undefined,
  { ofSite, ofOrganization }: Currencies,
): UnitPrice {
  return onSite === undefined
    ? { minor: priceMinor, currency: ofOrganization }
    : { minor: onSite.priceMinor, currency: ofSite };
}

/** The currencies of a site; null where the settings are not there. */
export async function currenciesAt(records: Pick<Records, 'get'>, siteId: SiteId): Promise<Currencies | null> {
  const settings = await records.get('settings', SETTINGS_ID);
  if (settings === undefined) return null;
  const { currency } = settingsAt(settings, await records.get('sites', siteId));
  return { ofSite: currency, ofOrganization: settings.currency };
}

/** As `unitPriceOf`, from the records; null where the settings are not there. */
export async function unitPriceAt(
  records: Pick<Records, 'get'>,
  part: Pick<Part, 'id' | 'priceMinor'>,
  siteId: SiteId,
): Promise<UnitPrice | null> {
  const currencies = await currenciesAt(records, siteId);
  if (currencies === null) return null;
  return unitPriceOf(part, await records.get('sitePrices', sitePriceId(siteId, part.id)), currencies);
}
