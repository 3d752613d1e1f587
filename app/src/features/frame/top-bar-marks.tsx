import type { ReactElement } from 'react';
import { NoticesMark } from '../notices';
import type { TopBarMarks } from '../page/marks';
import { SentMark } from '../unsent';
import { PersonMark } from './person-mark';
import { SiteMark } from './site-mark';

function AllMarks(): ReactElement {
  return (
    <>
      <SiteMark />
      <NoticesMark />
      <SentMark />
      <PersonMark />
    </>
  );
}

/** What top bars say beside where one is. */
export const topBarMarks: TopBarMarks = { Marks: AllMarks, Sent: SentMark };
