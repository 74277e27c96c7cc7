import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react'
import styled from 'styled-components'
import { fliesOnRig, rigForbids, rigSense, weakestOf, wording } from '../../../../core/index.ts'
import type { RigPart } from '../../../../core/index.ts'
import type { RigId, RigLine } from '../../../../contract/index.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { Unsaved } from '../../../parts/Unsaved.tsx'
import { Button } from '../../../ui/Button.tsx'
import { NoteField } from '../../../ui/fields.tsx'
import { Caution, Fault, Heading, Quiet, Row, Section } from '../../../ui/layout.tsx'
import { OneOf } from '../../../ui/OneOf.tsx'
import { usePlaceActions } from '../../../ui/shortcuts.ts'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { Knots } from './Knots.tsx'
import { RigDrawn } from './RigDrawn.tsx'
import { RigParts } from './RigParts.tsx'
import { RigWhere } from './RigWhere.tsx'
import { TypedRig } from './TypedRig.tsx'
import { useRigDraft } from './useRigDraft.ts'
import { useRigSaving } from './useRigSaving.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'

const Sides = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  padding-top: 14px;
  gap: 10px 28px;
  > :first-child {
    flex: 0 1 330px;
    min-width: 0;
  }
  > :last-child {
    flex: 1 1 340px;
    min-width: 0;
  }
`

interface RigSheetProps {
  /** null for one that is being made */
  readonly rig: RigLine | null
  /** what one that is being made begins with */
  readonly like?: Pick<RigLine, 'name' | 'way' | 'parts' | 'note'> | null
  readonly flies: readonly FlyChoice[]
  readonly onOpen: (id: RigId | null) => void
}

interface RigHeadProps {
  readonly rig: RigLine | null
  readonly isFixed: boolean
  readonly isChanged: boolean
  readonly save: () => void
  readonly copy: () => void
  readonly putAway: (rig: RigLine) => void
  readonly print: () => void
  readonly onBack: () => void
}

/** A rig's name, and what can be done with it. */
function RigHead({ rig, isFixed, isChanged, save, copy, putAway, print, onBack }: RigHeadProps) {
  return (
    <Heading>
      <h1>{rig ? rig.name : labels.newRig}</h1>
      <Row $gap={8}>
        {isChanged && rig ? <Quiet>{labels.notSaved}</Quiet> : null}
        {isFixed ? null : (
          <Button look={isChanged ? 'main' : 'plain'} large onPress={save} isDisabled={!isChanged}>
            {labels.save}
          </Button>
        )}
        <Button onPress={print}>{labels.print}</Button>
        {rig ? <Button onPress={copy}>{labels.copy}</Button> : null}
        {rig ? (
          <Button look="quiet" onPress={() => putAway(rig)}>
            {labels.putAway}
          </Button>
        ) : null}
        <Button look="quiet" onPress={onBack}>
          {labels.backToRigs}
        </Button>
      </Row>
    </Heading>
  )
}

/** One rig: typed in a line or built by hand, drawn to scale, with its knots, what a water forbids, and where it fishes. */
export function RigSheet({ rig, like = null, flies, onOpen }: RigSheetProps) {
  const { units } = useWording()
  const moment = useMoment()
  const { draft, phrases, isRead, isChanged, isTouched, change, type, putParts } = useRigDraft(rig, like, flies)
  const [isDragging, setDragging] = useState(false)
  const { fault, blocker, save, copy, putAway } = useRigSaving({
    ...{ rig, draft, isRead, isUnsaved: isChanged && isTouched, onOpen },
  })
  const paper = useRef<HTMLDivElement>(null)
  const isFixed = (rig?.spells ?? 0) > 0
  const nameOf = (id: string) => flies.find((fly) => fly.id === id)?.name ?? ''
  const { parts } = draft
  // the table follows a drag when there is time
  const listed = useDeferredValue(parts)
  const against = useMemo(() => {
    const sinks = (fly: string) => flies.find(({ id }) => id === fly)?.sinks ?? false
    return moment ? rigForbids(parts, moment.reach.rules, sinks) : []
  }, [parts, moment, flies])
  const onRig = useMemo(
    () => fliesOnRig(parts).map((id) => flies.find((fly) => fly.id === id) ?? null),
    [parts, flies],
  )
  const senses = useMemo(() => rigSense(parts, onRig), [parts, onRig])
  const print = () =>
    void import('./printRig.ts').then(({ printRig }) =>
      printRig(draft, nameOf, units, wording.weakestSentence(weakestOf(parts), units), paper.current),
    )
  usePlaceActions([
    ...(isFixed ? [] : [{ key: 'Ctrl+s', what: labels.save, go: save }]),
    { what: labels.print, go: print },
  ])
  const latest = useRef(putParts)
  latest.current = putParts
  const put = useCallback((next: readonly RigPart[]) => latest.current(next), [])
  const slide = useCallback(
    (next: readonly RigPart[], dragging: boolean) => {
      setDragging(dragging)
      put(next)
    },
    [put],
  )
  const drop = useCallback(() => setDragging(false), [])
  return (
    <>
      <RigHead {...{ rig, isFixed, isChanged, save, copy, putAway, print }} onBack={() => onOpen(null)} />
      <Unsaved blocker={blocker} />
      {fault ? <Fault role="alert">{fault}</Fault> : null}
      {isFixed ? <Quiet>{labels.fishedStays}</Quiet> : null}
      {against.length > 0 && moment ? (
        <Caution>{wording.rigForbidsSentence(moment.reach.waterName, against)}</Caution>
      ) : null}
      {isFixed ? null : (
        <TypedRig
          {...{ name: draft.name, typed: draft.typed, phrases, nameOf }}
          onName={(name) => change({ name })}
          onType={type}
        />
      )}
      <OneOf
        label={labels.fishedHow}
        choices={[
          { id: 'carried', name: labels.carried },
          { id: 'tight', name: labels.tight },
          { id: 'counted', name: labels.counted },
          { id: 'swung', name: labels.swung },
        ]}
        chosen={draft.way}
        onChoose={(way) => change({ way })}
      />
      <Sides>
        <div ref={paper}>
          <RigDrawn parts={parts} flies={flies} isFixed={isFixed} onSlide={slide} />
        </div>
        {moment ? (
          <RigWhere
            rig={rig}
            parts={parts}
            way={draft.way}
            flies={flies}
            moment={moment}
            isFixed={isFixed}
            isDragging={isDragging}
            isChanged={isChanged}
            onPut={slide}
            onDrop={drop}
          />
        ) : null}
      </Sides>
      <Section aria-label={labels.parts}>
        <h2>{labels.parts}</h2>
        <RigParts parts={listed} flies={flies} isFixed={isFixed} onPut={put} />
        <Knots rig={rig} parts={parts} />
        {senses.map((sense, i) => (
          <p key={i}>{wording.rigSenseSentence(sense, (fly) => onRig[fly]?.name ?? '', units)}</p>
        ))}
      </Section>
      <Section>
        {isFixed ? (
          <p>{draft.note}</p>
        ) : (
          <NoteField label={labels.note} value={draft.note} onChange={(note) => change({ note })} />
        )}
      </Section>
    </>
  )
}
