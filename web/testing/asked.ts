import type {
  ActionsView,
  BenchView,
  BoxesView,
  FrameView,
  LarderStockView,
  LarderView,
  OutingsView,
  PatternsView,
  PatternView,
  PlanView,
  ReachSeasonView,
  RigsView,
  StoresView,
  TonightView,
  WatersView,
} from '../../contract/index.ts'
import { api } from '../wire/api.ts'
import { askOnce } from '../wire/askOnce.ts'
import { store } from '../wire/store.ts'

const anew = { forceRefetch: true } as const
const {
  actions,
  bench,
  boxes,
  frame,
  larder,
  larderStock,
  outings,
  pattern,
  patterns,
  plan,
  reachSeason,
  rigs,
  stores,
  tonight,
  waters,
} = api.endpoints

async function there<View>(asking: Promise<{ readonly data?: View | undefined }>): Promise<NonNullable<View>> {
  const { data } = await asking
  if (!data) throw new Error('the server did not answer')
  return data
}

/** Views as the server has them now, past what the page remembers. */
export const asked = {
  actions: (): Promise<ActionsView> => there(askOnce(store.dispatch(actions.initiate(undefined, anew)))),
  bench: (): Promise<BenchView> => there(askOnce(store.dispatch(bench.initiate(undefined, anew)))),
  boxes: (): Promise<BoxesView> => there(askOnce(store.dispatch(boxes.initiate(undefined, anew)))),
  frame: (): Promise<FrameView> => there(askOnce(store.dispatch(frame.initiate(undefined, anew)))),
  larder: (): Promise<LarderView> => there(askOnce(store.dispatch(larder.initiate(undefined, anew)))),
  larderStock: (): Promise<LarderStockView> =>
    there(askOnce(store.dispatch(larderStock.initiate(undefined, anew)))),
  outings: (): Promise<OutingsView> => there(askOnce(store.dispatch(outings.initiate(undefined, anew)))),
  rigs: (): Promise<RigsView> => there(askOnce(store.dispatch(rigs.initiate(undefined, anew)))),
  stores: (): Promise<StoresView> => there(askOnce(store.dispatch(stores.initiate(undefined, anew)))),
  waters: (): Promise<WatersView> => there(askOnce(store.dispatch(waters.initiate(undefined, anew)))),
  reachSeason: (reachId: string): Promise<ReachSeasonView> =>
    there(askOnce(store.dispatch(reachSeason.initiate({ reachId }, anew)))),
  plan: (): Promise<PlanView> => there(askOnce(store.dispatch(plan.initiate(undefined, anew)))),
  patterns: (): Promise<PatternsView> => there(askOnce(store.dispatch(patterns.initiate(undefined, anew)))),
  tonight: (): Promise<TonightView> => there(askOnce(store.dispatch(tonight.initiate({}, anew)))),
  /** a pattern by its name */
  pattern: async (name: string): Promise<PatternView> => {
    const all = await asked.patterns()
    const id = all.patterns.find((one) => one.name === name)?.id
    if (!id) throw new Error(`there is no pattern ${name}`)
    return there(askOnce(store.dispatch(pattern.initiate(id, anew))))
  },
}
