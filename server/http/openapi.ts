import { OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi'
import { actionId, commandBodies, problem, routes } from '../../contract/index.ts'
import type { Route } from '../../contract/index.ts'
import { z } from 'zod'

const json = (schema: Route['answer']) => ({ content: { 'application/json': { schema } } })

/** Each kind of command with its own body, for readers of the documentation. */
const commandsByKind = z.union(
  Object.entries(commandBodies).map(([kind, body]) =>
    z.object({ id: actionId, kind: z.literal(kind), body }).meta({ id: `Command_${kind}` }),
  ),
)

/** The API as OpenAPI 3.1, made from the contract's routes. */
export function openApiDocument(version: string) {
  const registry = new OpenAPIRegistry()
  const list: readonly Route[] = Object.values(routes)
  for (const { method, path, summary, query, params, body, answer } of list) {
    registry.registerPath({
      method,
      path: path.replace(/:(\w+)/g, '{$1}'),
      summary,
      request: {
        ...(query ? { query } : {}),
        ...(params ? { params } : {}),
        ...(body ? { body: json(commandsByKind) } : {}),
      },
      responses: {
        200: { description: 'As asked', ...json(answer) },
        default: {
          description: 'A problem document',
          content: { 'application/problem+json': { schema: problem } },
        },
      },
    })
  }
  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: { title: 'Heavy Thistle', version, description: 'Units: mm, mg, s, °C. Every write is a command.' },
  })
}
