import { SETTINGS_ID, settingsAt, type Settings } from '@oilcan/core/orders/settings';
import { peekRow } from './store';

/** What holds on a site, for what is said once and not drawn again when it changes; undefined before it is here. */
export function peekSettings(siteId: string): Settings | undefined {
  const settings = peekRow('settings', SETTINGS_ID);
  return settings === undefined ? undefined : settingsAt(settings, peekRow('sites', siteId));
}
