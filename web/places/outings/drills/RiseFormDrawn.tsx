import styled, { keyframes } from 'styled-components'
import type { drill } from '../../../../core/index.ts'

const PERIOD_S = 5

/** Where the fish is through one rise, as translations and turns of its drawing; y grows downwards, the film is at nought. */
const WAYS: Readonly<Record<drill.RiseForm, readonly (readonly [at: number, x: number, y: number, deg: number])[]>> = {
  'bulge-below-film': [[0, -80, 60, -12], [35, -10, 17, -4], [50, 20, 15, 6], [100, 110, 64, 16]],
  'back-and-tail': [[0, -80, 60, -20], [35, -18, 9, -6], [52, 14, 5, 14], [70, 40, 22, 30], [100, 90, 66, 24]],
  'snout-and-bubble': [[0, -60, 64, -36], [38, -10, 12, -40], [50, -2, 9, -30], [70, 20, 30, 10], [100, 80, 64, 14]],
  'dusk-sipping': [[0, -60, 16, -3], [40, -6, 10, -8], [52, 2, 9, -6], [100, 70, 18, 3]],
  'slashing-rise': [[0, -70, 74, -50], [34, -8, 2, -48], [44, 6, -14, -20], [56, 24, 4, 50], [100, 80, 78, 30]],
  'flash-near-bottom': [[0, -40, 78, 30], [30, -14, 84, 40], [45, -4, 86, 34], [60, 6, 84, 42], [100, 40, 78, 28]],
} // prettier-ignore

/** Which mark the rise leaves, and where on the film. */
const MARKS: Readonly<Record<drill.RiseForm, 'swell' | 'ring' | 'bubble' | 'dimple' | 'splash' | 'none'>> = {
  'bulge-below-film': 'swell',
  'back-and-tail': 'ring',
  'snout-and-bubble': 'bubble',
  'dusk-sipping': 'dimple',
  'slashing-rise': 'splash',
  'flash-near-bottom': 'none',
}

const swims = (form: drill.RiseForm) => keyframes`
  ${WAYS[form].map(([at, x, y, deg]) => `${at}% { transform: translate(${x}px, ${y}px) rotate(${deg}deg); }`).join('\n')}
`
const shows = keyframes`
  0%, 38% { opacity: 0; transform: scaleX(0.2); }
  50% { opacity: 1; transform: scaleX(0.7); }
  80% { opacity: 0.7; transform: scaleX(1.4); }
  100% { opacity: 0; transform: scaleX(2); }
`

const Fish = styled.g<{ $form: drill.RiseForm }>`
  animation: ${({ $form }) => swims($form)} ${PERIOD_S}s linear infinite;
  @media (prefers-reduced-motion: reduce) {
    animation-play-state: paused;
    animation-delay: ${-PERIOD_S * 0.48}s;
  }
`
const Mark = styled.g`
  animation: ${shows} ${PERIOD_S}s linear infinite;
  @media (prefers-reduced-motion: reduce) {
    animation-play-state: paused;
    animation-delay: ${-PERIOD_S * 0.55}s;
  }
`

/** A rise as it is seen from the side, again and again; still at its height for those who want no motion. */
export function RiseFormDrawn({ form }: { readonly form: drill.RiseForm }) {
  const mark = MARKS[form]
  return (
    <svg width={340} height={190} viewBox="-170 -60 340 190" role="img" aria-label="A fish that takes">
      <rect x={-170} y={0} width={340} height={130} fill="var(--waterFilm)" />
      <path d="M-170 116 C-90 104 -20 122 60 110 S150 118 170 112 V130 H-170Z" fill="var(--quiet)" fillOpacity={0.5} />
      <Fish $form={form}>
        <path d="M34 -2 C20 -14 -10 -14 -34 -2 L-48 -12 L-45 0 L-48 12 L-34 2 C-10 12 20 10 34 -2Z" fill="var(--quiet)" stroke="var(--ink)" strokeWidth={1} />
        <path d="M-2 -11 L8 -20 L14 -11Z" fill="var(--quiet)" stroke="var(--ink)" strokeWidth={1} />
        <circle cx={25} cy={-4} r={1.6} fill="var(--ink)" />
      </Fish>
      <Mark fill="none" stroke="var(--ink)" strokeWidth={1.2}>
        {mark === 'swell' ? <path d="M-40 0 C-20 -9 20 -9 40 0" /> : null}
        {mark === 'ring' || mark === 'bubble' ? <path d="M-38 0 C-30 -5 -22 -5 -14 0 M14 0 C22 -5 30 -5 38 0" /> : null}
        {mark === 'bubble' ? <circle cx={0} cy={-3} r={3.5} fill="var(--panel)" /> : null}
        {mark === 'dimple' ? <path d="M-10 0 C-5 4 5 4 10 0" /> : null}
        {mark === 'splash' ? <path d="M-16 0 L-26 -22 M-6 0 L-10 -34 M6 0 L10 -36 M16 0 L28 -20 M-38 0 C-30 -8 -22 -8 -16 0 M16 0 C22 -8 30 -8 38 0" /> : null}
      </Mark>
      <line x1={-170} x2={170} y1={0} y2={0} stroke="var(--ink)" strokeWidth={1.5} />
    </svg>
  )
} // prettier-ignore
