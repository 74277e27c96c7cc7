import { createSlice, current } from '@reduxjs/toolkit'
import { copyWithStructuralSharing } from '@reduxjs/toolkit/query'
import type { PayloadAction } from '@reduxjs/toolkit'
import type { BatchId, EventId } from '../../contract/index.ts'
import { keptMoment } from './keptMoment.ts'

/** What the user says of the hour; what is left out is read or stays open. */
export interface SaidOfHour {
  readonly level?: 'falling' | 'steady' | 'rising'
  readonly weather?: 'bright' | 'dull' | 'windy' | 'calm' | 'rain'
  readonly clarity?: 'clear' | 'usual' | 'coloured'
  readonly airTempC?: number
  /** what the user's own thermometer shows */
  readonly waterTempC?: number
}

/** What is said anew: undefined takes back what was said. */
export type SaidNow = { readonly [Key in keyof SaidOfHour]?: SaidOfHour[Key] | undefined }

/** The moment that the user has chosen; null follows the next outing. */
export interface ChosenMoment {
  readonly reachId: string
  readonly on: string
  readonly localMin: number
  readonly said?: SaidOfHour
}

/** A fly that was counted here, done or spoiled or taken through a step, of which a view may not know yet. */
export interface OwnCount {
  readonly writeId: string
  readonly eventId: EventId
  readonly batchId: BatchId
  readonly kind: 'done' | 'spoiled' | 'station'
  readonly stepKey: string | null
}

/** What of the writes of this browser has not arrived. */
export interface OutboxState {
  readonly waiting: number
  /** refused after they had waited */
  readonly refused: number
  /** whether the server breaks over the first of them while it answers otherwise */
  readonly stuck: boolean
  /** whether they are lost with the page, as the browser's storage is full */
  readonly full: boolean
  /** why they wait */
  readonly trouble: string | null
  /** what was counted here, that waits or was delivered lately */
  readonly counts: readonly OwnCount[]
}

export interface ViewState {
  readonly moment: ChosenMoment | null
  /** mark or row that is pointed at, by the id of its subject */
  readonly lit: string | null
  readonly pinned: string | null
  /** what the tray says is being worked out */
  readonly work: {
    readonly label: string
    readonly done: number
    /** the command to stop, where it is a write that can be stopped */
    readonly stopId?: string
  } | null
  /** what went wrong with the last write, for the tray */
  readonly trouble: string | null
  /** the action to take back first, where something could not be taken back because of it */
  readonly undoFirst: string | null
  /** writes of this page that are on their way and not answered yet */
  readonly underWay: number
  /** writes that have not arrived */
  readonly outbox: OutboxState
  readonly finding: 'anything' | 'actions' | null
  readonly showKeys: boolean
  /** a fly is being tied: the bench takes the room of the roll and the Column */
  readonly atVise: boolean
  /** the Column takes half of the window */
  readonly waterOpen: boolean
}

const initialState: ViewState = {
  moment: keptMoment(),
  lit: null,
  pinned: null,
  work: null,
  trouble: null,
  undoFirst: null,
  underWay: 0,
  outbox: { waiting: 0, refused: 0, stuck: false, full: false, trouble: null, counts: [] },
  finding: null,
  showKeys: false,
  atVise: false,
  waterOpen: false,
}

/** The few pieces of state that several places share. */
export const view = createSlice({
  name: 'view',
  initialState,
  reducers: {
    chooseMoment: (state, { payload }: PayloadAction<ChosenMoment | null>) => ({ ...state, moment: payload }),
    /** adds to what is said of the hour of a moment, or takes of it what is undefined; the rest stays as it is by then */
    sayOfHour: (state, { payload: { of, said } }: PayloadAction<{ of: ChosenMoment; said: SaidNow }>) => {
      const moment = state.moment ?? of
      const all = Object.entries({ ...moment.said, ...said }).filter(([, value]) => value !== undefined)
      return { ...state, moment: { ...moment, said: Object.fromEntries(all) as SaidOfHour } }
    },
    light: (state, { payload }: PayloadAction<string | null>) => ({ ...state, lit: payload }),
    pin: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      pinned: state.pinned === payload ? null : payload,
    }),
    setWork: (state, { payload }: PayloadAction<ViewState['work']>) => ({ ...state, work: payload }),
    setTrouble: (state, { payload }: PayloadAction<string | null>) => ({
      ...state,
      trouble: payload,
      undoFirst: null,
    }),
    countUnderWay: (state, { payload }: PayloadAction<1 | -1>) => ({
      ...state,
      underWay: state.underWay + payload,
    }),
    offerUndoFirst: (state, { payload }: PayloadAction<string>) => ({ ...state, undoFirst: payload }),
    setOutbox: (state, { payload }: PayloadAction<Partial<OutboxState>>) => {
      const known: OutboxState = current(state.outbox)
      // what is told again as it was draws nothing anew
      return { ...state, outbox: copyWithStructuralSharing(known, { ...known, ...payload }) }
    },
    find: (state, { payload }: PayloadAction<ViewState['finding']>) => ({ ...state, finding: payload }),
    openWater: (state, { payload }: PayloadAction<boolean>) => ({ ...state, waterOpen: payload }),
    sitAtVise: (state, { payload }: PayloadAction<boolean>) => ({ ...state, atVise: payload }),
    toggleKeys: (state) => ({ ...state, showKeys: !state.showKeys }),
  },
})

export const {
  chooseMoment,
  countUnderWay,
  find,
  light,
  offerUndoFirst,
  openWater,
  pin,
  sayOfHour,
  setOutbox,
  setTrouble,
  setWork,
  sitAtVise,
  toggleKeys,
} = view.actions
