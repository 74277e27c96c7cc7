/** What anglers call the foods that ship, beside their names: common English words, by the food's name. */
const ALSO_CALLED: Readonly<Record<string, string>> = {
  'Large burrowing mayfly': 'drake green drake brown drake burrower spent gnat grey drake',
  'Dark olive': 'olive large dark olive blue-winged olive bwo spring olive march olive',
  'Small olive': 'olive small dark olive blue-winged olive tiny olive bwo',
  'Early clinging mayfly': 'march brown stone clinger flat nymph heptagenid',
  'Summer clinging mayfly': 'march brown dusky yellow clinger flat nymph heptagenid',
  'Evening olive': 'olive blue-winged olive bwo sherry spinner red spinner',
  'Pale summer olive': 'olive pale watery pale evening dun sulphur little yellow',
  'Tiny white-winged mayfly': 'caenis angler curse trico white midge',
  'Lake olive': 'olive lake dun pond olive callibaetis speckled',
  'Dark upland lake mayfly': 'sepia dun claret dun dark',
  'Small dark early sedge': 'caddis grannom early black caddis',
  'Net-spinning sedge': 'caddis net spinner spotted sedge grey sedge',
  'Green free-living sedge': 'caddis rock worm green rockworm sand fly',
  'Large autumn sedge': 'caddis october caddis great orange sedge cinnamon sedge stick caddis peeping',
  'Longhorn sedge': 'caddis long horn silverhorn black silverhorn',
  'Large lake sedge': 'caddis great red sedge traveller travelling sedge murrough',
  'Tiny winter stonefly': 'stone snowfly little black stone',
  'Needle stonefly': 'stone needle fly needlefly',
  'Early brown stonefly': 'stone february red early brown',
  'Large stonefly': 'stone creeper salmon fly golden stone giant',
  'Small yellow stonefly': 'stone yellow sally little yellow',
  'River midge': 'chironomid non-biting gnat buzzer smut bloodworm',
  'Winter midge': 'chironomid gnat buzzer snow midge',
  'Small lake midge': 'chironomid buzzer gnat duck fly bloodworm',
  'Medium lake midge': 'chironomid buzzer gnat duck fly bloodworm',
  'Large lake midge': 'chironomid buzzer racehorse gnat bloodworm',
  'Reed smut': 'black fly blackfly black gnat simulium buffalo gnat',
  'Phantom midge': 'glass worm chaoborus ghost larva',
  Damselfly: 'damsel blue damsel',
  'Climbing dragonfly': 'dragon darner hawker',
  'Sprawling dragonfly': 'dragon skimmer darter gomphus',
  'Lesser water boatman': 'corixa corixid boatman water bug',
  Backswimmer: 'greater water boatman notonecta bug',
  'Freshwater shrimp (scud)': 'gammarus shrimp scud side swimmer',
  'Hog-louse (sowbug)': 'cress bug sow bug hoglouse asellus water slater cressbug',
  Zooplankton: 'daphnia water flea plankton bloom',
  Leech: 'horse leech',
  Earthworm: 'dew worm garden worm',
  'Aquatic worm': 'tubifex oligochaete worm red worm',
  'Water snail': 'snail floating snail',
  Alderfly: 'alder sialis hellgrammite',
  'Diving beetle': 'water beetle dytiscus predacious',
  'Frog tadpole': 'tadpole pollywog',
  Minnow: 'baitfish bait fish fry shiner dace',
  Stickleback: 'baitfish bait fish fry pinkeen',
  'Perch and roach fry': 'baitfish bait fish pin fry fry feeder',
  'Trout fry and parr': 'baitfish bait fish alevin fingerling',
  'Bullhead (sculpin)': 'millers thumb cottus',
  'Stone loach': 'loach',
  Crayfish: 'crawfish crawdad yabby',
  'Fish eggs': 'egg roe spawn',
  'Small mammal': 'mouse vole lemming rodent shrew',
  Ant: 'flying ant formicid carpenter',
  'Small land beetle': 'beetle terrestrial ladybird',
  Chafer: 'beetle june bug may bug cockchafer bracken clock',
  'Long-legged black spring fly': 'hawthorn bibio st mark',
  'Red-legged moorland fly': 'heather fly bibio',
  'Yellow dung fly': 'cow dung cowdung',
  'Small black land gnat': 'black gnat bibio knotted midge',
  'Winter gnat': 'gnat',
  Grasshopper: 'hopper terrestrial cricket',
  Caterpillar: 'inchworm terrestrial green grub looper',
  'Stream crane fly': 'cranefly leatherjacket tipula',
  'Daddy-long-legs': 'cranefly crane fly daddy harry leatherjacket tipula',
  Moth: 'ghost swift millers bustard',
}

/** What several groups are called beside their keys. */
const GROUP_WORDS: Readonly<Record<string, string>> = {
  mayfly: 'mayfly upwing ephemerid',
  caddis: 'caddis sedge trichoptera',
  stonefly: 'stonefly',
  landInsect: 'terrestrial land insect',
  craneFly: 'terrestrial crane fly',
}

/** Words of stages that have several names. */
const STAGE_WORDS: readonly (readonly [within: RegExp, words: string])[] = [
  [/dun|adult/, 'adult fly subimago'],
  [/spinner/, 'imago spent'],
  [/larva/, 'grub'],
  [/emerger/, 'hatching'],
]

/** A stage by what it may be looked for: its food, its own name, its group. */
export interface NamedStage {
  readonly foodName: string
  readonly stageName: string
  readonly groupKey: string
}

const folded = (text: string) => text.normalize('NFC').toLowerCase()
const wordsOf = (text: string) =>
  folded(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
/** `olives` are sought as olive. */
const singular = (word: string) => (/[^s]s$/.test(word) && word.length > 3 ? word.slice(0, -1) : word)

function wordsFor({ foodName, stageName, groupKey }: NamedStage): readonly string[] {
  const stage = STAGE_WORDS.flatMap(([within, words]) => (within.test(folded(stageName)) ? words : []))
  return wordsOf(
    [foodName, stageName, groupKey, ALSO_CALLED[foodName] ?? '', GROUP_WORDS[groupKey] ?? '', ...stage].join(
      ' ',
    ),
  )
}

/**
 * Whether a stage is one that is looked for: each word is the beginning of one of its food's names, common ones among
 * them, of its own or of its group. No words find all.
 *
 * @example isSought({ foodName: 'Medium lake midge', stageName: 'rising pupa', groupKey: 'midgeLake' }, 'buzzers')
 */
export function isSought(stage: NamedStage, words: string): boolean {
  const own = wordsFor(stage)
  return wordsOf(words).every((word) =>
    own.some((one) => one.startsWith(word) || one.startsWith(singular(word))),
  )
}

/** Foods that ship and that some words are a common name of. */
export const foodsCalled = (words: string): readonly string[] =>
  Object.entries(ALSO_CALLED).flatMap(([foodName, also]) => {
    const own = wordsOf(also)
    const asked = wordsOf(words)
    const isIt = asked.every((word) =>
      own.some((one) => one.startsWith(word) || one.startsWith(singular(word))),
    )
    return asked.length > 0 && isIt ? [foodName] : []
  })
