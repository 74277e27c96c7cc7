import { lazy, Suspense, useMemo, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import styled from 'styled-components'
import type { BoxLine, CompartmentLine, RestockLine } from '../../../contract/index.ts'
import { useBoxesQuery } from '../../app/api.ts'
import { usePlaceKeys } from '../../app/shortcuts.ts'
import { light } from '../../app/state.ts'
import { useAppDispatch, useAppSelector } from '../../app/store.ts'
import { newId, useCommand } from '../../app/useCommand.ts'
import { stockAmount } from '../../app/words.ts'
import { ListedSlits } from '../../drawing/ListedFly.tsx'
import { Button } from '../../ui/Button.tsx'
import { Caution, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { CompartmentSheet } from './CompartmentSheet.tsx'
import { NewBox } from './NewBox.tsx'

const Foam = styled.div<{ $columns: number }>`
  display: grid;
  grid-template-columns: repeat(${({ $columns }) => $columns}, minmax(0, 1fr));
  gap: 1px;
  background: var(--rule);
  border: 1px solid var(--quiet);
  border-radius: 6px;
  overflow: hidden;
  .place {
    padding: 5px 9px 7px;
    background: var(--panel);
    min-height: 44px;
  }
  .place[data-lit='true'] {
    box-shadow: inset 0 0 0 2px var(--thistle);
  }
  .label {
    display: flex;
    justify-content: space-between;
    width: 100%;
    padding: 0;
    min-height: 32px;
    align-items: center;
    font: 0.8125rem/1.2 var(--text);
    color: var(--quiet);
    background: none;
    border: 0;
    text-align: left;
    cursor: pointer;
  }
  .label:hover {
    text-decoration: underline;
  }
  .fly {
    display: grid;
    grid-template-columns: minmax(9em, 1fr) minmax(0, auto);
    gap: 8px;
    align-items: center;
    padding: 1px 0;
    font-size: 0.875rem;
  }
  .fly .name {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

function Place({ place, onOpen }: { readonly place: CompartmentLine; readonly onOpen: () => void }) {
  const lit = useAppSelector((state) => state.view.lit)
  const dispatch = useAppDispatch()
  const held = place.flies.reduce((sum, { count }) => sum + count, 0)
  return (
    <div className="place" data-lit={place.flies.some(({ variantId }) => variantId === lit)}>
      <button type="button" className="label" onClick={onOpen}>
        <span>{place.label}</span>
        <span className="figures">
          {held}
          {place.capacity === null ? '' : ` of ${place.capacity}`}
        </span>
      </button>
      {place.flies.map((fly) => (
        <div
          key={fly.variantId}
          className="fly"
          onMouseEnter={() => dispatch(light(fly.variantId))}
          onMouseLeave={() => dispatch(light(null))}
        >
          <span className="name">
            {fly.patternName} {fly.label}
          </span>
          <ListedSlits
            onHand={fly.count}
            keep={fly.par ?? 0}
            drawingKey={fly.drawingKey}
            label={`${fly.patternName} ${fly.label}`}
          />
        </div>
      ))}
    </div>
  )
}

function BoxDrawn({ box, onOpen }: { readonly box: BoxLine; readonly onOpen: (id: string) => void }) {
  const columns = Math.max(1, ...box.compartments.map(({ column }) => column))
  return (
    <Section aria-label={box.name}>
      <Heading>
        <h2>
          {box.name} <Quiet>{box.note}</Quiet>
        </h2>
      </Heading>
      <Foam $columns={Math.max(columns, box.compartments.length > 4 ? 2 : 1)}>
        {box.compartments.map((place) => (
          <Place key={place.id} place={place} onOpen={() => onOpen(place.id)} />
        ))}
      </Foam>
    </Section>
  )
}

const Holes = styled.ol`
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 4px 14px;
    align-items: center;
    padding: 5px 0;
    border-bottom: 1px solid var(--rule);
  }
  .short {
    grid-column: 1 / -1;
  }
`

const Coverage = lazy(() => import('./Coverage.tsx'))

const SHOWN = 8
const MOST_AT_ONCE = 6

/** What to tie of a hole at once: what is missing, at most six, and no more than the stores allow. */
const countFor = ({ missing, allowed }: RestockLine) =>
  Math.max(Math.min(missing, MOST_AT_ONCE, allowed ?? MOST_AT_ONCE), 1)

/** What is below what is kept, emptiest first, with the materials that are missing; a batch starts from here. */
function Restock({ lines }: { readonly lines: readonly RestockLine[] }) {
  const [all, setAll] = useState(false)
  const command = useCommand()
  const navigate = useNavigate()
  if (lines.length === 0) {
    return (
      <Section>
        <p>No hole: every fly with a place of its own is at what you keep.</p>
      </Section>
    )
  }
  const start = async (line: RestockLine, onVise: boolean) => {
    const delivery = await command('batchPlan', {
      batchId: newId(),
      variantId: line.variantId,
      plannedCount: countFor(line),
      compartmentId: line.compartmentId,
      onVise,
    })
    if (delivery.kind === 'done' && onVise) void navigate('/bench')
  }
  return (
    <Section aria-label="Holes">
      <h2>
        {lines.length} {lines.length === 1 ? 'hole' : 'holes'} <Quiet>· emptiest first</Quiet>
      </h2>
      <Holes>
        {lines.slice(0, all ? undefined : SHOWN).map((line) => (
          <li key={line.variantId}>
            <Link to={`/patterns/${line.patternId}?variant=${line.variantId}`}>
              {line.patternName} {line.label}
            </Link>
            <ListedSlits
              onHand={line.onHand}
              keep={line.par}
              drawingKey={line.drawingKey}
              label={`${line.patternName} ${line.label}`}
            />
            <Row $gap={6}>
              <Button
                onPress={() => void start(line, true)}
                aria-label={`Tie ${countFor(line)} ${line.patternName} ${line.label} now`}
              >
                Tie {countFor(line)} now
              </Button>
              <Button
                look="quiet"
                onPress={() => void start(line, false)}
                aria-label={`Queue ${line.patternName} ${line.label}`}
              >
                Queue
              </Button>
            </Row>
            {line.shortOf.length > 0 ? (
              <span className="short">
                <Caution>
                  Stores allow {line.allowed}: short of{' '}
                  {line.shortOf
                    .map(
                      ({ name, need, onHand }) =>
                        `${name} (${stockAmount(onHand ?? 0, 'count')} of ${stockAmount(need, 'count')})`,
                    )
                    .join('; ')}
                  .
                </Caution>
              </span>
            ) : null}
          </li>
        ))}
      </Holes>
      {lines.length > SHOWN ? (
        <Button look="quiet" onPress={() => setAll(!all)}>
          {all ? 'Only the emptiest' : `All ${lines.length}`}
        </Button>
      ) : null}
    </Section>
  )
}

/** Boxes drawn as they are, and what they lack. */
export default function Boxes() {
  const { data } = useBoxesQuery()
  const [params, setParams] = useSearchParams()
  const [adding, setAdding] = useState(params.has('new'))
  const keys = useMemo(() => ({ n: () => setAdding(true) }), [])
  usePlaceKeys(keys)
  if (!data) return <p aria-busy="true">Opening the boxes …</p>
  const openId = params.get('place')
  const open = data.boxes.flatMap(({ compartments }) => compartments).find(({ id }) => id === openId)
  if (open) return <CompartmentSheet place={open} boxes={data.boxes} onClose={() => setParams({})} />
  const wanted = params.get('box')
  const covers = params.get('view') === 'cover'
  return (
    <>
      <Heading>
        <h1>Boxes</h1>
        <Row>
          <Button
            onPress={() => setParams(covers ? {} : { view: 'cover' })}
            aria-pressed={covers}
            look={covers ? 'main' : 'plain'}
          >
            What they cover
          </Button>
          <Button look={covers ? 'plain' : 'main'} onPress={() => setAdding(true)}>
            New box
          </Button>
        </Row>
      </Heading>
      {adding ? <NewBox onDone={() => setAdding(false)} /> : null}
      {covers ? (
        <Suspense fallback={<p aria-busy="true">Holding the boxes against the larder …</p>}>
          <Coverage />
        </Suspense>
      ) : (
        <Restock lines={data.restock} />
      )}
      {(covers ? [] : data.boxes)
        .filter(({ id }) => !wanted || id === wanted)
        .map((box) => (
          <BoxDrawn key={box.id} box={box} onOpen={(place) => setParams({ place })} />
        ))}
    </>
  )
}
