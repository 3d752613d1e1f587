import type { ReactElement } from 'react';
import type { Asset } from '@oilcan/core/plant/plant';
import { usePast } from '../../../data/queries/use-past';
import { Choice, Choices } from '../../../ui/fields/choice';
import { AppText } from '../../../ui/theme/app-text';

const MOST_PROPOSED = 4;

/** What this machine usually has, by the titles of its past: one press instead of typing. */
export function UsualWords({
  asset,
  onChoose,
}: {
  readonly asset: Asset;
  readonly onChoose: (words: string) => void;
}): ReactElement | null {
  const past = usePast({ scope: 'asset', id: asset.id });
  const jobs = past.is === 'here' ? (past.whole?.jobs ?? []) : [];
  const times = new Map<string, number>();
  for (const { title, kind } of jobs) if (kind === 'corrective') times.set(title, (times.get(title) ?? 0) + 1);
  const usual = [...times].sort(([, a], [, b]) => b - a).slice(0, MOST_PROPOSED);
  if (usual.length === 0) return null;
  return (
    <>
      <AppText as="label">It usually has</AppText>
      <Choices label="It usually has">
        {usual.map(([title]) => (
          <Choice key={title} word={title} isChosen={false} onPress={() => onChoose(title)} />
        ))}
      </Choices>
    </>
  );
}
