import type { FlyRules } from '../plan/index.ts'
import type { HourConditions, WaterKind } from '../season/index.ts'
import type { Technique } from '../technique/index.ts'

/** An hour at a water with what was seen there, and what an expert would say and put on. */
export interface HourAtTheWater {
  readonly of: string
  readonly water: WaterKind
  /** mean of the coldest and of the warmest month, °C */
  readonly year: readonly [coldC: number, warmC: number]
  /** YYYY-MM-DD */
  readonly on: string
  readonly localMin: number
  readonly hour: Partial<HourConditions>
  readonly ways: readonly Technique[]
  readonly seen: readonly string[]
  readonly lookedForInVain: readonly string[]
  /** what the water's note says */
  readonly rules: Partial<FlyRules>
  /** stages, any of which is a sensible answer; by their keys or the end of them */
  readonly stages: readonly string[]
  /** flies, any of which is a sensible choice */
  readonly flies: readonly string[]
}

const at = (hour: number, min = 0) => hour * 60 + min
const NOTHING = { hour: {}, seen: [], lookedForInVain: [], rules: {} } as const
const RIVER = { water: 'freestone', year: [3, 16] } as const
const CHALK = { water: 'springFed', year: [6, 15] } as const
const LAKE = { water: 'lowlandStillwater', year: [4, 19] } as const
const NYMPHS = ['tightLineNymph', 'indicatorNymph'] as const

/** Twenty, over all kinds of water and the whole year, written from the job before there was anything that answers them. */
export const HOURS_AT_THE_WATER: readonly HourAtTheWater[] = [
  { ...NOTHING, ...RIVER, of: 'April noon, duns sailing by, snouts and bubbles', on: '2026-04-20', localMin: at(13),
    ways: ['dry', 'tightLineNymph'], seen: ['snout-and-bubble', 'duns-upright'],
    lookedForInVain: [], stages: ['dun'], flies: ['olive dun 16'] },
  { ...NOTHING, ...RIVER, of: 'April noon, backs and tails, shucks drifting', on: '2026-04-20', localMin: at(13),
    ways: ['dry', 'tightLineNymph'], seen: ['back-and-tail', 'drifting-shucks'],
    lookedForInVain: ['snout-and-bubble'], stages: ['emerger'], flies: ['olive emerger 16'] },
  { ...NOTHING, ...RIVER, of: 'April forenoon, swirls that do not break the film', on: '2026-04-20', localMin: at(11, 30),
    ways: ['swungWets', 'dry'], seen: ['bulge-below-film'],
    lookedForInVain: ['snout-and-bubble'], stages: ['rising', 'nymph'], flies: ['soft olive 16'] },
  { ...NOTHING, ...RIVER, of: 'February, nothing showing', on: '2026-02-15', localMin: at(12),
    ways: NYMPHS, seen: ['nothing-showing'], lookedForInVain: ['snout-and-bubble'],
    stages: ['nymph', 'larva', 'pupa', 'scud-adult', 'worm-adult'],
    flies: ['olive nymph 16', 'flat brown clinger 14', 'dark stonefly nymph 8', 'stone case 12', 'olive midge larva 20', 'tan grub 14', 'green grub 12'] },
  { ...NOTHING, ...RIVER, of: 'a summer spate, coloured and rising', on: '2026-07-10', localMin: at(11),
    hour: { level: 'rising', clarity: 'coloured', weather: 'rain' }, ways: [...NYMPHS, 'streamer'],
    seen: ['coloured-rising-water', 'nothing-showing'],
    stages: ['washed-in', 'aquatic-worm-adult', 'bullhead-adult', 'minnow-adult', 'stone-loach-adult', 'large-stonefly-nymph', 'larva'],
    flies: ['pink worm 10', 'thin red worm 12', 'bullhead 6', 'dark stonefly nymph 8'] },
  { ...NOTHING, ...RIVER, of: 'June evening, flies dancing by the trees, some flat in the film, sipping', on: '2026-06-12', localMin: at(21, 15),
    hour: { weather: 'calm', airTempC: 16 }, ways: ['dry'], seen: ['males-dancing', 'spent-flat', 'dusk-sipping'],
    stages: ['spinner'], flies: ['rust spinner 16', 'rust spinner 20', 'large white spinner 10', 'sunk rust spinner 16'] },
  { ...NOTHING, ...RIVER, of: 'July dusk, splashy rises, flies touching the water again and again', on: '2026-07-12', localMin: at(21, 45),
    hour: { airTempC: 17 }, ways: ['dry', 'swungWets'], seen: ['slashing-rise', 'dipping', 'adults-in-bushes'],
    stages: ['sedge-adult', 'sedge-egg-layer', 'diving', 'sedge-pupa', 'early-sedge-adult'], flies: ['tan sedge 14', 'cinnamon sedge 10', 'amber pupa 14'] },
  { ...NOTHING, ...RIVER, of: 'May, skins on the stones, something crawling out', on: '2026-05-22', localMin: at(10),
    ways: NYMPHS, seen: ['skins-on-stones', 'crawling-out'], stages: ['stonefly-nymph', 'large-stonefly-nymph'],
    flies: ['dark stonefly nymph 8'] },
  { ...NOTHING, ...CHALK, of: 'chalk stream in late May, large duns on the water, noses', on: '2026-05-28', localMin: at(15, 30),
    ways: ['dry'], seen: ['duns-upright', 'snout-and-bubble', 'birds-over-one-stretch'],
    stages: ['burrowing-mayfly-dun', 'dun'], flies: ['large cream dun 10'] },
  { ...NOTHING, ...CHALK, of: 'chalk stream in winter, tails in the weed', on: '2026-01-20', localMin: at(12),
    ways: NYMPHS, seen: ['flash-near-bottom', 'stone-turned'], lookedForInVain: ['snout-and-bubble'],
    stages: ['scud-adult', 'nymph', 'larva', 'hog-louse-adult'], flies: ['olive shrimp 14', 'grey louse 14', 'olive nymph 16', 'olive midge larva 20', 'grey quill nymph 20', 'tan grub 14'] },
  { ...NOTHING, ...CHALK, of: 'chalk stream in July, tiny rings in flat water, dry fly only', on: '2026-07-20', localMin: at(10, 30),
    ways: ['dry'], seen: ['tiny-rings'], rules: { dryOnly: true },
    stages: ['reed-smut-adult', 'reed-smut-emerger', 'river-midge-emerger', 'tiny-white-winged-mayfly-spinner', 'small-olive-spinner', 'small-olive-emerger'],
    flies: ['black midge emerger 22', 'rust spinner 20', 'small grey dun 20', 'midge cluster 18'] },
  { ...NOTHING, water: 'tailwater', year: [6, 12], of: 'tailwater in March, swirls and shucks at noon', on: '2026-03-15', localMin: at(13),
    ways: ['dry', 'indicatorNymph'], seen: ['back-and-tail', 'drifting-shucks'], lookedForInVain: ['duns-upright'],
    stages: ['midge-emerger', 'midge-pupa', 'emerger'], flies: ['black midge emerger 22', 'olive emerger 16'] },
  { ...NOTHING, water: 'smallStream', year: [4, 15], of: 'brook in a hot, still August noon, dimples under bushes', on: '2026-08-08', localMin: at(13, 30),
    hour: { weather: 'bright' }, ways: ['dry'], seen: ['bank-dimples'],
    stages: ['ant-worker', 'beetle-adult', 'grasshopper-growing', 'caterpillar-green', 'gnat-adult', 'chafer-adult', 'ant-winged'],
    flies: ['black ant 18', 'black beetle 14', 'green hopper 10'] },
  { ...NOTHING, water: 'smallStream', year: [4, 15], of: 'winged ants on a close afternoon', on: '2026-07-25', localMin: at(15),
    hour: { weather: 'calm', airTempC: 26 }, ways: ['dry'], seen: ['ants-on-the-wing', 'snout-and-bubble'],
    stages: ['ant-winged'], flies: ['black ant 18'] },
  { ...NOTHING, ...RIVER, of: 'November below the redds, pairs over pale gravel', on: '2026-11-15', localMin: at(12),
    ways: NYMPHS, seen: ['spawning-gravel', 'nothing-showing'], stages: ['fish-egg-autumn'], flies: ['orange egg 14'] },
  { ...NOTHING, ...LAKE, of: 'lake in May, nothing showing, midges like smoke along the lee shore', on: '2026-05-10', localMin: at(9),
    ways: ['staticIndicator', 'slowRetrieve'], seen: ['nothing-showing', 'midge-smoke'],
    stages: ['pupa-deep', 'pupa-rising', 'midge-pupa', 'bloodworm'], flies: ['black buzzer 12', 'bloodworm 12', 'olive buzzer 18'] },
  { ...NOTHING, ...LAKE, of: 'lake in June, nymphs swim for the reeds, skins on the stems', on: '2026-06-15', localMin: at(11),
    hour: { weather: 'bright' }, ways: ['slowRetrieve'], seen: ['nymphs-swimming-in-ripples', 'skins-on-reeds'],
    stages: ['damselfly-mature-nymph'], flies: ['pale damsel 10'] },
  { ...NOTHING, ...LAKE, of: 'lake in July, fish roll slowly in warm calm', on: '2026-07-28', localMin: at(20),
    hour: { weather: 'calm' }, ways: ['dry', 'slowRetrieve'], seen: ['slow-rolling-warm-calm'], lookedForInVain: ['drifting-shucks', 'midge-smoke'],
    stages: ['snail-floating'], flies: ['black snail 14'] },
  { ...NOTHING, water: 'reservoir', year: [4, 18], of: 'reservoir in September, fry leap at the weed bed', on: '2026-09-20', localMin: at(9),
    ways: ['streamer', 'slowRetrieve'], seen: ['fry-scattering'], lookedForInVain: ['midge-smoke'],
    stages: ['lake-fry-autumn', 'lake-fry-stricken', 'stickleback-adult', 'minnow-fry', 'lake-fry-pin'], flies: ['white fry 8'] },
  { ...NOTHING, ...LAKE, of: 'lake in a windy September, daddies blown on the water', on: '2026-09-15', localMin: at(14),
    hour: { weather: 'windy' }, ways: ['dry', 'slowRetrieve'], seen: ['wind-lanes', 'slashing-rise'], lookedForInVain: ['drifting-shucks'],
    stages: ['daddy-long-legs-adult', 'daddy-long-legs-drowned'], flies: ['tan daddy 10'] },
] // prettier-ignore
