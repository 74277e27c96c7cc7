import { useState } from 'react'
import { fromCore, REGIONS, WATER_KINDS, wording } from '../../../core/index.ts'
import type { Problem } from '../../../contract/index.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { useFrameQuery } from '../../wire/answers.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Form } from '../../ui/Form.tsx'
import { Fault, Quiet, Row } from '../../ui/layout.tsx'
import { readWater } from './newWater.ts'
import type { WrittenWater } from './newWater.ts'
import { labels, regionName } from '../../words/waters.ts'

const OWN = 'own'
const LIKE = [
  ...REGIONS.map(({ key }) => ({ id: key, name: regionName[key] })),
  { id: OWN, name: regionName.own },
]

/** The first thing that is asked: name, kind, usual depth, coldest month, warmest met. */
export function NewWater({ onDone }: { readonly onDone: () => void }) {
  const { data: frame } = useFrameQuery()
  const { units } = useWording()
  const command = useCommand()
  const usual = (tempC: number) => String(Math.round(fromCore(tempC, units.temperature)))
  const [likeKey, setLikeKey] = useState<string>(REGIONS[0]?.key ?? OWN)
  const [changed, setChanged] = useState<Partial<WrittenWater>>({})
  const [problem, setProblem] = useState<Problem | null>(null)
  const [asked, setAsked] = useState(false)
  const like = REGIONS.find(({ key }) => key === likeKey)
  const written: WrittenWater = {
    name: '',
    kind: 'freestone',
    depth: '',
    speed: '',
    coldest: like ? usual(like.coldestC) : '',
    warmest: like ? usual(like.warmestC) : '',
    height: like ? wording.height(like.elevationM, units) : '',
    latitude: like ? String(like.latitudeDeg) : '',
    longitude: '-2',
    ...changed,
  }
  const set = (key: keyof WrittenWater) => (text: string) => setChanged({ ...changed, [key]: text })
  const { isStill, faults, create } = readWater(written, units)
  const field = (key: Exclude<keyof WrittenWater, 'name' | 'kind'>, label: string, width: string) => (
    <TextField label={label} value={written[key]} onChange={set(key)} fault={faults[key]} width={width} />
  )
  const save = async () => {
    if (!create) {
      setAsked(true)
      return
    }
    const body = create({ waterId: newId(), reachId: newId() }, frame?.settings.timeZone ?? 'UTC')
    const delivery = await command('waterCreate', body, { quietly: true })
    if (delivery.kind === 'refused') setProblem(delivery.problem)
    else onDone()
  }
  return (
    <Form label={labels.newWater} onSubmit={() => void save()} problem={problem}>
      <Row $align="start">
        <TextField
          name="water.name"
          label={labels.name}
          value={written.name}
          onChange={set('name')}
          width="200px"
          autoFocus
        />
        <Select
          label={labels.kind}
          value={written.kind}
          choices={WATER_KINDS.map((id) => ({ id, name: wording.waterKindName[id] }))}
          onChange={set('kind')}
          width="190px"
        />
        <Select
          label={labels.itIsLike}
          value={likeKey}
          choices={LIKE}
          onChange={(key) => {
            setLikeKey(key)
            // what was written of the place gives way to the region that is chosen
            const { coldest: _c, warmest: _w, height: _h, latitude: _l, ...kept } = changed
            setChanged(kept)
          }}
          width="230px"
        />
        {field('depth', `Usual depth, ${units.depth}`, '130px')}
        {isStill ? null : field('speed', `Surface speed, ${units.depth}/s`, '140px')}
        {field('coldest', `Coldest month, ${units.temperature}`, '140px')}
        {field('warmest', `Warmest met, ${units.temperature}`, '140px')}
        {field('height', `Above the sea, ${units.depth}`, '130px')}
        {field('latitude', labels.latitude, '100px')}
        {field('longitude', labels.longitude, '100px')}
      </Row>
      <Quiet>{labels.theSunsHoursFollow}</Quiet>
      {asked && !create ? <Fault>{labels.fillInNameDepth}</Fault> : null}
      <Row>
        <Button type="submit" look="main">
          {labels.addTheWater}
        </Button>
        <Button onPress={onDone}>{labels.leaveIt}</Button>
      </Row>
    </Form>
  )
}
