import { v7 } from 'uuid'
import type {
  BenchView,
  BoxesView,
  CommandInput,
  CommandKind,
  OutingsView,
  PatternsView,
  RigsView,
  StoresView,
  WatersView,
} from '../../contract/index.ts'
import type { TestServer } from '../../server/testing/testServer.ts'

export type Random = () => number
/** Makes a command of one kind of what the data have; null where they have nothing that it could be done to. */
export type Maker<Kind extends CommandKind> = (
  server: TestServer,
  random: Random,
) => Promise<CommandInput<Kind> | null>

/** Makers of some kinds. */
export type Makers<Kind extends CommandKind> = { readonly [One in Kind]: Maker<One> }

export const from = (random: Random, most: number) => Math.floor(random() * most)
export const oneOf = <One>(random: Random, all: readonly One[]): One | null =>
  all[from(random, all.length)] ?? null
export const newId = () => v7() as never
export const word = (random: Random) => `Made up ${Math.floor(random() * 1e9).toString(36)}`
export async function view<View>(server: TestServer, path: string): Promise<View> {
  return (await server.get(path).expect(200)).body as View
}
export const places = async (server: TestServer) =>
  (await view<BoxesView>(server, '/api/boxes')).boxes.flatMap(({ compartments }) => compartments)
/** A fly that lies somewhere. */
export async function lying(server: TestServer, random: Random) {
  const all = (await places(server)).flatMap(({ id, flies }) =>
    flies.filter(({ count }) => count > 0).map((fly) => ({ ...fly, compartmentId: id })),
  )
  return oneOf(random, all)
}
export const variants = async (server: TestServer) =>
  (await view<PatternsView>(server, '/api/patterns')).patterns.flatMap((pattern) =>
    pattern.variants.map((variant) => ({ ...variant, patternId: pattern.id })),
  )
export const bench = (server: TestServer) => view<BenchView>(server, '/api/bench')
export const stores = async (server: TestServer) => (await view<StoresView>(server, '/api/stores')).materials
export const waters = async (server: TestServer) => (await view<WatersView>(server, '/api/waters')).waters
export const rigsOf = async (server: TestServer) => (await view<RigsView>(server, '/api/rigs')).rigs
export const outings = async (server: TestServer) => (await view<OutingsView>(server, '/api/outings')).outings
