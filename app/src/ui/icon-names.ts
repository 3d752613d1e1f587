import { iconPaths, type IconName } from './icon-paths';

export function isIconName(name: string): name is IconName {
  return Object.hasOwn(iconPaths, name);
}
