import { useId, type ReactElement } from 'react';

/** How something was found, or how it was left where it was faulty. */
export type FindingState = 'good' | 'faulty' | 'putRight';

interface Props {
  readonly state: FindingState;
  readonly color: string;
  readonly size?: number;
}

/**
 * Good is an open ring, faulty a solid triangle, put right the triangle with a stroke through it beside the ring that it became:
 * told apart without colour.
 */
export function FindingShape({ state, color, size = 18 }: Props): ReactElement {
  const isPair = state === 'putRight';
  const gap = useId();
  return (
    <svg
      width={isPair ? size * 2 : size}
      height={size}
      viewBox={isPair ? '0 0 40 20' : '0 0 20 20'}
      aria-hidden="true"
      style={{ flexShrink: 0 }}
    >
      {state === 'good' ? <circle cx={10} cy={10} r={7} stroke={color} strokeWidth={3} fill="none" /> : null}
      {state === 'faulty' ? <path d="M10 2 19.5 18.5H.5Z" fill={color} /> : null}
      {isPair ? (
        <>
          <mask id={gap}>
            <rect width={40} height={20} fill="white" />
            <path d="M-2 17 22 5" stroke="black" strokeWidth={6} />
          </mask>
          <path d="M10 2 19.5 18.5H.5Z" fill={color} mask={`url(#${gap})`} />
          <path d="M0 16 20 6" stroke={color} strokeWidth={2.5} />
          <circle cx={30} cy={10} r={7} stroke={color} strokeWidth={3} fill="none" />
        </>
      ) : null}
    </svg>
  );
}
