import { within } from '../../../../contract/limits.ts'
import type { RigWay } from '../../../../core/index.ts'
import { Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import type { RigSettings } from './useRigSettings.ts'

const LONGEST_S = { counted: 60, swung: 30 }

/** What is to be set of a rig that is fished in a way. */
export function RigSettingsFields({ way, settings }: { readonly way: RigWay; readonly settings: RigSettings }) {
  const { units } = useWording()
  const { depthMm, setDeep, tipMm, setTip, ledMmPerS, setLed, castDeg, setCast, countS, setCount } = settings
  return (
    <>
      <Row $gap={10} $align="end" style={{ paddingBottom: 8 }}>
        <MeasureField
          label={labels.waterDeep}
          unit={units.depth}
          value={depthMm}
          {...within('waterDepthMm')}
          onChange={(next) => setDeep(next ?? 'unclear')}
          onUnclear={() => setDeep('unclear')}
          width="120px"
        />
        {way === 'tight' ? (
          <>
            <MeasureField
              label={labels.tipAbove}
              unit={units.depth}
              value={tipMm}
              min={200}
              max={5000}
              onChange={(next) => setTip(next ?? 'unclear')}
              onUnclear={() => setTip('unclear')}
              width="150px"
            />
            <MeasureField
              label={labels.ledAt}
              unit={units.speed}
              value={ledMmPerS}
              min={10}
              max={4000}
              onChange={(next) => setLed(next ?? 'unclear')}
              onUnclear={() => setLed('unclear')}
              width="120px"
            />
          </>
        ) : null}
      </Row>
      {way === 'swung' ? (
        <div style={{ paddingBottom: 8 }}>
          <NumberField
            label={labels.castAt}
            value={castDeg}
            min={10}
            max={120}
            onChange={(next) => setCast(next ?? 'unclear')}
            onUnclear={() => setCast('unclear')}
            width="170px"
          />
        </div>
      ) : null}
      {way === 'counted' || way === 'swung' ? (
        <label style={{ display: 'flex', gap: 10, alignItems: 'center', paddingBottom: 8 }}>
          {way === 'counted' ? labels.count : labels.afterTheCast}
          <input
            type="range"
            min={0}
            max={LONGEST_S[way]}
            value={Math.min(countS, LONGEST_S[way])}
            onChange={({ target }) => setCount(Number(target.value))}
            style={{ flex: '0 1 260px', minWidth: 0, accentColor: 'var(--thistle)' }}
          />
          <span className="figures">{Math.min(countS, LONGEST_S[way])}</span>
        </label>
      ) : null}
    </>
  )
}
