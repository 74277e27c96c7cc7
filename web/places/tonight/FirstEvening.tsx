import { Link } from 'react-router'
import styled from 'styled-components'
import type { FrameView } from '../../../contract/index.ts'
import { labels } from '../../words/tonight.ts'

const Blanks = styled.ol`
  max-width: 640px;
  margin-top: 12px;
  font-size: 1.125rem;
  li {
    padding: 12px 0;
    border-bottom: 1px solid var(--rule);
  }
  .blank {
    display: inline-block;
    min-width: 160px;
    border-bottom: 2px solid var(--quiet);
    text-decoration: none;
    text-align: center;
  }
`

/** Three lines with blanks: all that is needed before the first true sentence. */
export default function FirstEvening({ frame }: { readonly frame: FrameView }) {
  return (
    <>
      <h1>{labels.tonight}</h1>
      <Blanks>
        <li>
          My next water is{' '}
          <Link className="blank" to="/waters?new=1">
            {labels.nameIt}
          </Link>
        </li>
        <li>
          In my boxes are{' '}
          <Link className="blank" to="/boxes?new=1">
            {frame.roll.patterns > 0 ? `${frame.roll.patterns} patterns` : 'make a box'}
          </Link>
        </li>
        <li>
          On the vise is{' '}
          <Link className="blank" to="/patterns/new">
            {labels.aFirstPattern}
          </Link>
        </li>
      </Blanks>
      <p style={{ color: 'var(--quiet)', marginTop: 16 }}>
        Or look round the valley: <code>{labels.npmRunDemo}</code> opens it, kept apart from what is yours.
      </p>
    </>
  )
}
