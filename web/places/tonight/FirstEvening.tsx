import { useState } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import type { FrameView } from '../../../contract/index.ts'
import { PATHS } from '../../../contract/paths.ts'
import { useNow } from '../../moment/useNow.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Quiet } from '../../ui/layout.tsx'
import { labels } from '../../words/tonight.ts'

const Blanks = styled.ol`
  max-width: 720px;
  margin: 12px 0;
  font-size: 1.125rem;
  li {
    padding: 10px 0;
    border-bottom: 1px solid var(--rule);
  }
  .blank {
    display: inline-block;
    min-width: 160px;
    border-bottom: 2px solid var(--quiet);
    text-decoration: none;
    text-align: center;
  }
  li[data-done='true'] {
    color: var(--quiet);
  }
`

/** Opens the made-up valley in a server of its own, and leads there. */
function Valley() {
  const [state, setState] = useState<'closed' | 'opening' | 'failed'>('closed')
  const [address, setAddress] = useState<string | null>(null)
  const open = async () => {
    setState('opening')
    const answer = await fetch(PATHS.valley, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: '{}',
    }).catch(() => null)
    const body = answer?.ok ? ((await answer.json()) as { readonly address: string }) : null
    setState(body ? 'closed' : 'failed')
    setAddress(body?.address ?? null)
  }
  return (
    <>
      <p style={{ marginTop: 12 }}>
        <Quiet>{labels.orLookRound} </Quiet>
        {address ? (
          <a href={address} target="_blank" rel="noreferrer">
            {labels.theValleyIsOpen}
          </a>
        ) : (
          <Button look="quiet" onPress={() => void open()} isDisabled={state === 'opening'}>
            {state === 'opening' ? labels.openingTheValley : labels.lookRound}
          </Button>
        )}
      </p>
      {state === 'failed' ? <Fault>{labels.valleyFailed}</Fault> : null}
    </>
  )
}

/** Three lines with blanks, all that is needed before the first true sentence: they stay until each is done. */
export default function FirstEvening({ frame }: { readonly frame: FrameView }) {
  const { waters, patterns, flies } = frame.roll
  const now = useNow()
  const likeliest = now?.foods[0]
  const [reach] = frame.reaches
  return (
    <>
      <h1>{labels.tonight}</h1>
      <Blanks aria-label={labels.firstEvening}>
        <li data-done={waters > 0}>
          My next water is{' '}
          {reach ? (
            <>
              <Link to="/waters">{reach.waterName}</Link>. <Quiet>{labels.nextReading}</Quiet>
            </>
          ) : (
            <Link className="blank" to="/waters?new=1">
              {labels.nameIt}
            </Link>
          )}
        </li>
        <li data-done={flies > 0}>
          In my boxes are{' '}
          {flies > 0 ? (
            <Link to="/boxes">{flies === 1 ? 'one fly' : `${flies} flies`}</Link>
          ) : (
            <>
              <Link className="blank" to="/boxes?new=flies">
                {labels.writeThemDown}
              </Link>{' '}
              <Quiet>{labels.orNoneYet}</Quiet>
            </>
          )}
        </li>
        <li data-done={patterns > 0 && flies > 0}>
          On the vise is{' '}
          {patterns > 0 ? (
            <>
              <Link to={frame.onVise ? '/bench' : '/patterns'}>{labels.yourPattern}</Link>
              {flies > 0 ? '.' : ''} <Quiet>{flies > 0 ? '' : labels.nextTie}</Quiet>
            </>
          ) : (
            <>
              <Link
                className="blank"
                to={likeliest ? `/patterns/new?serves=${likeliest.foodStageId}` : '/patterns/new'}
              >
                {likeliest ? `a first fly for: ${likeliest.name}` : labels.aFirstPattern}
              </Link>{' '}
              {likeliest ? <Quiet>{likeliest.onItWords} now.</Quiet> : null}
            </>
          )}
        </li>
      </Blanks>
      <Valley />
    </>
  )
}
