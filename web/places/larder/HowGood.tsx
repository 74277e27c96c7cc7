import { useState } from 'react'
import { wording } from '../../../core/index.ts'
import type { SeasonSkillView } from '../../../contract/index.ts'
import { useSeasonSkillQuery } from '../../wire/answers.ts'
import { Button } from '../../ui/Button.tsx'
import { Dense, Quiet } from '../../ui/layout.tsx'
import { labels } from '../../words/larder.ts'

type Skill = NonNullable<SeasonSkillView['skill']>

function Table({ skill }: { readonly skill: Skill }) {
  const { times, byLead, fixedOffDays, unlearnedOffDays } = skill
  return (
    <>
      <Dense aria-label={labels.howGoodItWas} style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>{labels.foretold}</th>
            <th className="number">{labels.offBy}</th>
            <th className="number">{labels.held}</th>
          </tr>
        </thead>
        <tbody>
          {byLead.map(({ leadDays, held, offDays }) => (
            <tr key={leadDays}>
              <td>{wording.daysBefore(leadDays)}</td>
              <td className="number">{wording.daysOff(offDays)}</td>
              <td className="number">
                {held} of {times}
              </td>
            </tr>
          ))}
          <tr>
            <td>{labels.withoutYourNotes}</td>
            <td className="number">{wording.daysOff(unlearnedOffDays)}</td>
            <td />
          </tr>
          <tr>
            <td>{labels.aFixedDate}</td>
            <td className="number">{wording.daysOff(fixedOffDays)}</td>
            <td />
          </tr>
        </tbody>
      </Dense>
      <Quiet>{labels.asItWouldHave}</Quiet>
    </>
  )
}

/** How good the forecasts of a stage were here, beside a fixed date and nothing learned; worked out when it is asked for. */
export function HowGood({ stageId, reachId }: { readonly stageId: string; readonly reachId: string }) {
  const [asked, setAsked] = useState(false)
  const { data } = useSeasonSkillQuery({ reachId, foodStageId: stageId }, { skip: !asked })
  if (!asked)
    return (
      <Button look="quiet" onPress={() => setAsked(true)}>
        {labels.howGoodWasIt}
      </Button>
    )
  if (!data) return <p aria-busy="true">{labels.lookingBack}</p>
  return data.skill ? <Table skill={data.skill} /> : <Quiet>{labels.noFirstDayNoted}</Quiet>
}
