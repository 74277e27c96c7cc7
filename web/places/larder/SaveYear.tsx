import { curveC, MONTH_STARTS, wording } from '../../../core/index.ts'
import type { ReachSeasonView, StageLine } from '../../../contract/index.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { Button } from '../../ui/Button.tsx'
import { useWording } from '../../words/useWording.ts'
import { dayOf } from './LarderYear.tsx'
import type { YearRow } from './LarderYear.tsx'
import { labels } from '../../words/larder.ts'

interface SaveYearProps {
  readonly rows: readonly YearRow[] | null
  readonly stages: readonly StageLine[]
  readonly season: ReachSeasonView | undefined
  readonly moment: Moment | null
}

/** The year of the reach to take along: as a table, for a calendar, as a picture, on paper. */
export function SaveYear({ rows, stages, season, moment }: SaveYearProps) {
  const { units } = useWording()
  if (!season || !moment || season.windows.length === 0) return null
  const { reach, on } = moment
  const year = {
    reachName: reach.reachName,
    year: Number(on.slice(0, 4)),
    south: reach.latitudeDeg < 0,
    waterKind: reach.waterKind,
    stages,
    season,
  }
  const load = () => import('./exportYear.ts')
  const drawn = {
    title: `${reach.reachName}, ${reach.waterName}: what trout eat through ${on.slice(0, 4)}`,
    warmth: MONTH_STARTS.map((day) => wording.degreesOnly(curveC(season.warmth.model, day + 15), units)),
    rows: (rows ?? []).map(({ stage, about, onIt }) => ({
      name: `${stage.foodName}, ${stage.stageName}`,
      about,
      onIt,
      seenDays: (season.seenOn[stage.id] ?? []).map(dayOf),
    })),
  }
  const draw = () => import('./drawYear.ts')
  return (
    <>
      <Button onPress={() => void load().then(({ saveYearCsv }) => saveYearCsv(year))}>
        {labels.saveTheTable}
      </Button>
      <Button onPress={() => void load().then(({ saveYearIcs }) => saveYearIcs(year))}>
        {labels.saveForACalendar}
      </Button>
      <Button
        isDisabled={!rows}
        onPress={() =>
          void draw().then(({ saveYearPng }) => saveYearPng(drawn, `${reach.reachName}-${on.slice(0, 4)}.png`))
        }
      >
        {labels.saveThePicture}
      </Button>
      <Button isDisabled={!rows} onPress={() => void draw().then(({ printYear }) => printYear(drawn))}>
        {labels.printIt}
      </Button>
    </>
  )
}
