import { useEffect, useRef, useState } from 'react'
import { wording } from '../../../../core/index.ts'
import type { CountedDown, KeptThere } from '../../../../core/index.ts'
import { Button } from '../../../ui/Button.tsx'
import { Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { labels } from '../../../words/fishes.ts'
import { useWording } from '../../../words/useWording.ts'
import { runJob } from '../../../workers/gateway.ts'

/** A stretch of depth to begin with: from a fifth above what is wanted to a fifth below. */
const AROUND = 0.2

interface Search {
  readonly done: number
  readonly best: KeptThere | null
}

/** Which count and which retrieve keep a fly longest between two depths: searched when asked for, the best so far told meanwhile. */
export function BestRetrieve({ input }: { readonly input: CountedDown }) {
  const { units } = useWording()
  const [fromMm, setFrom] = useState<number | null>(Math.round(input.wantedMm * (1 - AROUND)))
  const [toMm, setTo] = useState<number | null>(Math.round(input.wantedMm * (1 + AROUND)))
  const [search, setSearch] = useState<Search | null>(null)
  const running = useRef<AbortController | null>(null)
  const stop = () => running.current?.abort()
  useEffect(() => {
    // what was found is of other entries now
    setSearch(null)
    return stop
  }, [input, fromMm, toMm])
  const isSearching = search !== null && search.done < 1
  const isReady = fromMm !== null && toMm !== null && fromMm < toMm
  const find = () => {
    if (!isReady) return
    const controller = new AbortController()
    running.current = controller
    setSearch({ done: 0, best: null })
    void runJob(
      'keptLongest',
      { ...input, between: { fromMm, toMm } },
      { key: 'keptLongest', lane: 1, signal: controller.signal, onProgress: setSearch },
    ).then((found) => {
      const isStopped = found !== null && 'kind' in found
      if (isStopped) setSearch((now) => (now?.best ? { ...now, done: 1 } : null))
      else setSearch({ done: 1, best: found })
    })
  }
  return (
    <>
      <Row $gap={10} $align="end" style={{ padding: '8px 0' }}>
        <MeasureField
          label={labels.keptFrom}
          unit={units.depth}
          value={fromMm}
          min={50}
          max={30_000}
          onChange={setFrom}
          onUnclear={() => setFrom(null)}
          width="120px"
        />
        <MeasureField
          label={labels.keptTo}
          unit={units.depth}
          value={toMm}
          min={50}
          max={30_000}
          onChange={setTo}
          onUnclear={() => setTo(null)}
          width="120px"
        />
        {isSearching ? (
          <Button onPress={stop}>{labels.stop}</Button>
        ) : (
          <Button onPress={find} isDisabled={!isReady}>
            {labels.findARetrieve}
          </Button>
        )}
      </Row>
      <p role="status">
        {search === null
          ? ''
          : isSearching
            ? `${labels.triedSoFar} ${Math.round(search.done * 100)} %. ${search.best ? wording.keptSentence(search.best, units) : ''}`
            : wording.keptSentence(search.best, units)}
      </p>
    </>
  )
}
