import { useState, type ReactElement } from 'react';
import { mdiAccountOutline } from '@mdi/js';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { IconPress } from '../../../ui/press/press';

const PersonSheet = lazyComponent(() => import('./person-sheet').then((module) => module.PersonSheet));

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
