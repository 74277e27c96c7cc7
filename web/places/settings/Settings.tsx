import { useFrameQuery } from '../../wire/answers.ts'
import { useSettings } from '../../wire/useSettings.ts'
import { NARROW, useColumn } from '../../column/marks.ts'
import { Heading, Quiet, Section } from '../../ui/layout.tsx'
import { CardOnScreen } from './CardOnScreen.tsx'
import { Copies } from './Copies.tsx'
import { Phones } from './Phones.tsx'
import { HabitFields } from './HabitFields.tsx'
import { UnitFields } from './UnitFields.tsx'
import { WeightCodeFields } from './WeightCodeFields.tsx'
import { labels } from '../../words/settings.ts'

/** Units, habits, this screen. Each is saved as it is changed. */
export default function Settings() {
  useColumn(NARROW)
  const { data: frame } = useFrameQuery()
  const { settings, change } = useSettings()
  if (!frame || !settings) return null
  return (
    <>
      <Heading>
        <h1>{labels.settings}</h1>
      </Heading>
      <UnitFields units={settings.units} onChange={(units) => change({ units })} />
      <HabitFields settings={settings} unknownZone={frame.unknownZone} onChange={change} />
      <Section>
        <h2>{labels.weightCode}</h2>
        <WeightCodeFields
          code={settings.weightCode}
          onSave={(code) => change({ weightCode: code && { marks: code.marks, on: [...code.on] } })}
        />
      </Section>
      <Copies zone={settings.timeZone} folder={settings.backupFolder} />
      <Phones zone={settings.timeZone} />
      <CardOnScreen />
      <Section>
        <Quiet>
          Build {frame.buildId}. <a href="/api/docs">{labels.theInterfaceForPrograms}</a>
        </Quiet>
      </Section>
    </>
  )
}
