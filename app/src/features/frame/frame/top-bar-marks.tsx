import type { ReactElement } from 'react';
import { ClockMark } from '../../recording/labor/first-screen';
import { NoticesMark } from '../../overview/notices/first-screen';
import type { TopBarMarks } from '../page/marks';
import { SentMark } from '../unsent';
import { FindMark } from './find-mark';
import { PersonMark } from './person-mark';
import { SiteMark } from './site-mark';

function AllMarks(): ReactElement {
  return (
    <>
      <ClockMark />
      <FindMark />
      <NoticesMark />
      <SentMark />
      <PersonMark />
    </>
  );
}

function MarksWithin(): ReactElement {
  return (
    <>
      <ClockMark />
      <FindMark />
      <SentMark />
    </>
  );
}

/** What top bars say beside where one is. */
export const topBarMarks: TopBarMarks = { Site: SiteMark, Marks: AllMarks, Sent: MarksWithin };
