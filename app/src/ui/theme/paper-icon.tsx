import type { ReactElement } from 'react';
import {
  mdiArrowLeft,
  mdiArrowUp,
  mdiCheck,
  mdiCheckboxBlankOutline,
  mdiCheckboxMarked,
  mdiChevronLeft,
  mdiChevronRight,
  mdiClose,
  mdiMagnify,
  mdiMenuDown,
  mdiMenuUp,
  mdiMinusBox,
} from '@mdi/js';
import { Icon } from './icon';

/** The icons that Paper's components name by themselves; of its icon font of a megabyte nothing is loaded. */
const pathOf: Readonly<Record<string, string>> = {
  'arrow-left': mdiArrowLeft,
  'arrow-up': mdiArrowUp,
  check: mdiCheck,
  'checkbox-blank-outline': mdiCheckboxBlankOutline,
  'checkbox-marked': mdiCheckboxMarked,
  'chevron-left': mdiChevronLeft,
  'chevron-right': mdiChevronRight,
  close: mdiClose,
  magnify: mdiMagnify,
  'menu-down': mdiMenuDown,
  'menu-up': mdiMenuUp,
  'minus-box': mdiMinusBox,
};

/** How every outline begins. */
const OUTLINE = /^[Mm]\s?[\d.-]/;

interface Props {
  /** One of those names, or the outline of any other icon. */
  readonly name: unknown;
  readonly color?: string;
  readonly size: number;
}

/** An icon in one of Paper's components, also in the place of the one that it would draw with a font (see `metro.config.js`). */
export default function PaperIcon({ name, color, size }: Props): ReactElement | null {
  if (typeof name !== 'string') return null;
  const path = pathOf[name] ?? name;
  // A name that is not known here is no outline, and a browser would complain of it.
  if (!OUTLINE.test(path)) return null;
  return <Icon path={path} size={size} {...(color === undefined ? {} : { color })} />;
}

/**
 * What an icon says to a screen reader: nothing, there is a word for it.
 *
 * @public Paper asks for it.
 */
export const accessibilityProps = { 'aria-hidden': true };
