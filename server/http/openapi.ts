import { OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi'
import { actionId, command, commandBodies, problem, routes } from '../../contract/index.ts'
import type { Route } from '../../contract/index.ts'
import { z } from 'zod'

const json = (schema: Route['answer']) => ({ content: { 'application/json': { schema } } })

/** A body of bytes, as OpenAPI 3.1 has it: of any content. */
const BYTES = {}

/** Each kind of command with its own body, for readers of the documentation. */
const commandsByKind = z.union(
  Object.entries(commandBodies).map(([kind, body]) =>
    z.object({ id: actionId, kind: z.literal(kind), body }).meta({ id: `Command_${kind}` }),
  ),
)

/** A query as OpenAPI can say it: of a choice of queries each parameter, none of which is always there. */
function describedQuery(query: NonNullable<Route['query']>): z.ZodObject {
  if (query instanceof z.ZodObject) return query
  const choices = query.options.map(({ shape }) => shape)
  return z.object(Object.assign({}, ...choices) as z.ZodRawShape).partial()
}

/** The API as OpenAPI 3.1, made from the contract's routes. */
export function openApiDocument(version: string) {
  const registry = new OpenAPIRegistry()
  const list: readonly Route[] = Object.values(routes)
  for (const { method, path, summary, query, params, body, bytes, media, answer } of list) {
    registry.registerPath({
      method,
      path: path.replace(/:(\w+)/g, '{$1}'),
      summary,
      request: {
        ...(query ? { query: describedQuery(query) } : {}),
        ...(params ? { params } : {}),
        ...(body ? { body: json(body === command ? commandsByKind : body) } : {}),
        ...(bytes
          ? { body: { content: Object.fromEntries(bytes.map((kind) => [kind, { schema: BYTES }])) } }
          : {}),
      },
      responses: {
        200: {
          description: 'As asked',
          ...(media ? { content: { [media]: { schema: BYTES } } } : json(answer)),
        },
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
