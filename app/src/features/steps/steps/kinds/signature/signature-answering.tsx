import { mdiDraw } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { lazyComponent } from '../../../../../ui/loading/lazy-component';
import { Drawn } from '../../../../../ui/drawn/drawn';
import { Beside } from '../beside';
import type { AnsweringProps } from '../kind-answering';
import { ValueButton } from '../value-button';

const SignatureSheet = lazyComponent(() => import('./signature-sheet').then((module) => module.SignatureSheet));

export function SignatureAnswering({
  step,
  question,
  answer,
  canAnswer,
  words,
}: AnsweringProps<'signature'>): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <Beside words={words}>
      {answer === null ? null : <Drawn path={answer.path} name={answer.name} />}
      <ValueButton
        word={answer === null ? 'Sign' : 'Sign again'}
        label={`${answer === null ? 'Sign' : 'Sign again'}: ${step.text}`}
        icon={mdiDraw}
        isGiven={answer !== null}
        disabled={!canAnswer}
        onPress={() => setIsOpen(true)}
      />
      {isOpen ? <SignatureSheet step={step} who={question.who} onClose={() => setIsOpen(false)} /> : null}
    </Beside>
  );
}
