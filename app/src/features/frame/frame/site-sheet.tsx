import type { ReactElement } from 'react';
import { usePhone, useTable } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice } from '../../../ui/fields/choice';
import { useSite, useSiteChoice } from '../page/use-site';

/** The sites of the person; one press chooses and closes. */
export function SiteSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  const person = usePhone((state) => state.person);
  const sites = useTable('sites').filter(({ id }) => person?.siteIds.includes(id) === true);
  const site = useSite();
  const choose = (id: string | null): void => {
    useSiteChoice.getState().choose(id);
    onClose();
  };
  return (
    <BottomSheet title="Which site" onClose={onClose}>
      <Choice word="All sites" isChosen={site === null} onPress={() => choose(null)} />
      {sites.map(({ id, name }) => (
        <Choice key={id} word={name} isChosen={site === id} onPress={() => choose(id)} />
      ))}
    </BottomSheet>
  );
}
