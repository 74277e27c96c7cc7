import { parseCookie } from 'cookie'
import compression from 'compression'
import express from 'express'
import type { Express, Request, RequestHandler, Response } from 'express'
import type { Logger } from 'pino'
import { PAIRED_PATHS, pairAsk, pairedLog, pairedParams } from '../../contract/index.ts'
import type { OutingLine } from '../../contract/index.ts'
import type { z } from 'zod'
import type { Clock } from '../clock/clock.ts'
import { localTime } from '../clock/localTime.ts'
import type { CommandService } from '../commands/commandService.ts'
import type { Database } from '../db/database.ts'
import type { Pairing } from '../pairing/pairing.ts'
import { invalid, ProblemError } from '../problems/problem.ts'
import { loadSettings } from '../read/settings.ts'
import { carriedAlong } from '../views/carried.ts'
import { outingsView } from '../views/outings.ts'
import { errorHandler, notFound } from './errors.ts'
import { sendAlongFile } from './pages.ts'
import type { FillPage } from './pages.ts'
import { doorPage, outingsPage } from './phonePages.ts'
import { nonceOf, phoneHeaders, sameOrigin } from './security.ts'

/** What phones of the home network are served from. */
export interface PhonesContext {
  readonly database: Database
  readonly clock: Clock
  readonly commands: CommandService
  readonly pairing: Pairing
  readonly fillPage: FillPage | null
  readonly dataId: string
  readonly log: Logger
}

const COOKIE = 'phone'
const ASK_LIMIT = '2kb'
const LOG_LIMIT = '1mb'
/** How long after an outing its page is still offered. */
const OFFERED_DAYS = 7
const DAY_MS = 86_400_000
const COOKIE_MS = 180 * DAY_MS
const REFUSED = {
  wrong: 'That is not the code. Look at the computer once more: five tries in all.',
  none: 'No code is open: it ended, it was spent, or five tries were wrong. Show a new one on the computer.',
}

function checked<Schema extends z.ZodType>(schema: Schema, value: unknown): z.infer<Schema> {
  const parsed = schema.safeParse(value)
  if (!parsed.success) throw invalid(parsed.error)
  return parsed.data
}

/** What a phone shows of itself. */
const shownBy = (request: Request) => parseCookie(request.headers.cookie ?? '')[COOKIE] ?? ''
/** An address without what goes without saying; null where it is none. */
const originOf = (address: string) => (URL.canParse(address) ? new URL(address).origin : null)
const addressOf = (request: Request) => request.socket.remoteAddress ?? ''

/**
 * All that is served to the home network, on an address of its own: a door that asks for a code, and for a paired phone
 * the pages of outings and their log. Nothing else of the application can be reached from there.
 */
export function phonesApp(context: PhonesContext): Express {
  const { database, clock, commands, pairing, fillPage, dataId, log } = context
  const { db } = database
  const scheme = () => (pairing.servedAt?.startsWith('https:') ? 'https' : 'http')
  const isOwn = (host: string) =>
    pairing.servedAt !== null && originOf(`${scheme()}://${host}`) === originOf(pairing.servedAt)
  /** Goes on for a phone that may come in; a page asks at the door, a program is told. */
  const onlyPaired: RequestHandler = async (request, response, next) => {
    if (await pairing.seen(shownBy(request), addressOf(request))) next()
    else if (request.method === 'GET') response.status(401).type('html').send(doorPage(null))
    else next(new ProblemError('notPaired', 'This phone has to be paired again.'))
  }
  const carriedBy = (request: Request, isAtHome: boolean) => {
    const { id } = checked(pairedParams, request.params)
    const home = isAtHome ? PAIRED_PATHS.log.replace(':id', id) : null
    return carriedAlong(db, clock, { outingId: id, dataId, home })
  }
  async function offered(): Promise<readonly OutingLine[]> {
    const { timeZone } = (await loadSettings(db)).body
    const { on: since } = localTime(clock.nowMs() - OFFERED_DAYS * DAY_MS, timeZone)
    const { outings } = await outingsView(db)
    return outings.filter(({ on }) => on >= since).sort((a, b) => a.on.localeCompare(b.on))
  }
  const admit = async (request: Request, response: Response) => {
    const asked = pairAsk.safeParse(request.body)
    const name = asked.data?.name.trim() ?? ''
    const phone = { name: name === '' ? 'A phone' : name, address: addressOf(request) }
    const admitted = await pairing.admit(asked.data?.code ?? '', phone)
    if ('refused' in admitted) {
      response.status(401).type('html').send(doorPage(REFUSED[admitted.refused]))
      return
    }
    const secure = scheme() === 'https'
    response.cookie(COOKIE, admitted.token, { httpOnly: true, sameSite: 'strict', secure, maxAge: COOKIE_MS })
    response.redirect(303, PAIRED_PATHS.door)
  }

  const app = express()
  app.disable('x-powered-by')
  app.set('query parser', 'simple')
  app.use(...phoneHeaders(), (request, response, next) => {
    response.setHeader('Cache-Control', 'no-store')
    sameOrigin(isOwn, scheme())(request, response, next)
  })
  app.use(compression())
  app.post(PAIRED_PATHS.pair, express.urlencoded({ extended: false, limit: ASK_LIMIT }), admit)
  app.use(onlyPaired)
  app.get(PAIRED_PATHS.door, async (_request, response) => {
    response.type('html').send(outingsPage(await offered()))
  })
  app.get(PAIRED_PATHS.page, async (request, response) => {
    const carried = await carriedBy(request, true)
    if (!carried || !fillPage) throw new ProblemError('notFound', 'There is no such outing to take along.')
    response.type('html').send(fillPage(carried, nonceOf(response)))
  })
  app.get(PAIRED_PATHS.file, async (request, response) => {
    sendAlongFile(response, fillPage, await carriedBy(request, false))
  })
  app.post(PAIRED_PATHS.log, express.json({ limit: LOG_LIMIT }), async (request, response) => {
    const { id: outingId } = checked(pairedParams, request.params)
    const { id, taps } = checked(pairedLog, request.body)
    await commands.execute({ id, kind: 'outingNote', body: { outingId, taps } })
    response.json({ kept: taps.length })
  })
  app.use(notFound, errorHandler(log))
  return app
}
