import type { Request } from 'express'
import { routes } from '../../contract/index.ts'
import type { Route, RouteAsked, RouteName } from '../../contract/index.ts'
import { invalid } from '../problems/problem.ts'

/**
 * What a route is asked, checked against the contract.
 *
 * @throws ProblemError that names the field which is at fault
 */
export function askedOf<Name extends RouteName>(name: Name, request: Request): RouteAsked<Name> {
  const route: Route = routes[name]
  const asked: Record<string, unknown> = {}
  for (const part of ['query', 'params', 'body'] as const) {
    const schema = route[part]
    if (!schema) continue
    const parsed = schema.safeParse(request[part])
    if (!parsed.success) throw invalid(parsed.error)
    asked[part] = parsed.data
  }
  return asked as RouteAsked<Name>
}
