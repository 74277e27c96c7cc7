import { useEffect, useMemo } from 'react'
import { datedBroods } from '../../core/index.ts'
import { runJob } from '../workers/gateway.ts'
import { api, useKeepWindowsMutation, useLarderQuery, useSeasonQuery } from '../wire/api.ts'
import { setWork } from '../wire/state.ts'
import { useAppDispatch } from '../wire/store.ts'

/** Years that are made up for each reach, and the seed, so that the same inputs give the same windows. */
const YEARS = 400
const SEED = 20_260
/** A worker of its own: the finder has two. */
const SEASON_LANE = 2

/** Works the windows of reaches out anew whenever what they hang on has changed, and gives them to the server to keep. */
export function useSeasonKeeper(): void {
  const { data: season } = useSeasonQuery()
  const { data: larder } = useLarderQuery()
  const [keep] = useKeepWindowsMutation()
  const dispatch = useAppDispatch()
  // two answers come one after the other: only those that speak of the same broods are reckoned with
  const agree = larder !== undefined && larder.broodsHash === season?.broodsHash
  const stale = useMemo(
    () => (agree ? season.reaches.filter(({ inputHash, keptHash }) => inputHash !== keptHash) : []),
    [agree, season],
  )
  const key = stale.map(({ inputHash }) => inputHash).join(' ')
  useEffect(() => {
    if (!larder || stale.length === 0) return
    const controller = new AbortController()
    const work = async () => {
      const result = await runJob(
        'emergenceWindows',
        {
          reaches: stale.map(({ reachId, model, latitudeDeg, elevationM, iceOffOn }) => ({
            key: reachId,
            model,
            latitudeDeg,
            elevationM,
            iceOffOn,
          })),
          broods: datedBroods(larder.stages),
          years: YEARS,
          seed: SEED,
        },
        {
          key: 'emergenceWindows',
          signal: controller.signal,
          lane: SEASON_LANE,
          onProgress: ({ done }) => dispatch(setWork({ label: 'Working the season out', done })),
        },
      )
      dispatch(setWork(null))
      if ('kind' in result) return
      for (const { reachKey, windows } of result) {
        const inputHash = stale.find(({ reachId }) => reachId === reachKey)?.inputHash ?? ''
        await keep({ reachId: reachKey, inputHash, windows })
      }
      dispatch(api.util.invalidateTags(['all']))
    }
    void work()
    return () => controller.abort()
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key says which inputs are stale; the rows come anew with each answer
  }, [key])
}
