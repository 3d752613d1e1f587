import type { ReactElement } from 'react';
import { View } from 'react-native';
import type { Extent } from '@oilcan/core/recording/stoppages';
import { Choice, Choices } from '../../../ui/fields/choice';

/** Shares that are pressed, in percent. */
const USUAL_LOST = [25, 50, 75];

export interface How {
  readonly extent: Extent;
  /** In percent; null where nobody says. */
  readonly lostPercent: number | null;
}

/** Whether a machine stands still or runs reduced, and by how much less. */
export function HowStopped({
  how: { extent, lostPercent },
  onChange,
}: {
  readonly how: How;
  readonly onChange: (how: How) => void;
}): ReactElement {
  return (
    <View style={{ gap: 8 }}>
      <Choices label="How">
        <Choice
          word="Stands still"
          isChosen={extent === 'full'}
          onPress={() => onChange({ extent: 'full', lostPercent: null })}
        />
        <Choice
          word="Runs, not fully"
          isChosen={extent === 'reduced'}
          onPress={() => onChange({ extent: 'reduced', lostPercent })}
        />
      </Choices>
      {extent === 'full' ? null : (
        <Choices label="By how much less">
          {USUAL_LOST.map((percent) => (
            <Choice
              key={percent}
              word={`${percent} % less`}
              isChosen={lostPercent === percent}
              onPress={() => onChange({ extent, lostPercent: lostPercent === percent ? null : percent })}
            />
          ))}
        </Choices>
      )}
    </View>
  );
}
