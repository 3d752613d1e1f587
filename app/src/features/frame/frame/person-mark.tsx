import { useState, type ReactElement } from 'react';
import { mdiAccountOutline } from '@mdi/js';
import { piece } from '../../../ui/loading/piece';
import { IconPress } from '../../../ui/press/press';

const PersonSheet = piece(() => import('./person-sheet').then((module) => module.PersonSheet));

/** The way to what concerns me. */
export function PersonMark(): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      <IconPress icon={mdiAccountOutline} label="Me" onPress={() => setIsOpen(true)} />
      {isOpen ? <PersonSheet onClose={() => setIsOpen(false)} /> : null}
    </>
  );
}
