import { z } from 'zod'
import { inputSchema, OPERATIONS, resultSchema } from '../calculation/operations'
import { ROUTES, type RouteContract } from './routes'

const errorSchema = z.toJSONSchema(
  z.object({
    error: z.object({
      code: z.string(),
      message: z.string(),
      issues: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
    }),
  }),
)

const json = (schema: unknown) => ({ 'application/json': { schema } })

/** What a file holds, where a schema says so. */
const fileOf = ({ file }: RouteContract) => (file ? { schema: z.toJSONSchema(file, { io: 'input' }) } : {})

const describe = (route: RouteContract) => ({
  summary: route.summary,
  parameters: [
    ...[...route.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
      name,
      in: 'path',
      required: true,
      schema: { type: 'string' },
    })),
    ...Object.entries(route.query?.shape ?? {}).map(([name, schema]) => ({
      name,
      in: 'query',
      required: false,
      schema: z.toJSONSchema(schema as z.ZodType, { io: 'input' }),
    })),
  ],
  ...(route.body
    ? { requestBody: { required: true, content: json(z.toJSONSchema(route.body, { io: 'input' })) } }
    : {}),
  ...(route.takes
    ? {
        requestBody: {
          required: true,
          content: Object.fromEntries(route.takes.map((type) => [type, fileOf(route)])),
        },
      }
    : {}),
  responses: {
    200: {
      description: 'Done.',
      ...(route.answers ? { content: { [route.answers]: fileOf(route) } } : { content: json({}) }),
    },
    '4XX': {
      description: 'What was wrong, in a sentence, with the place of it.',
      content: json(errorSchema),
    },
  },
})

/** The OpenAPI document, written from the schemas that the routes parse by. */
export const openApiDocument = () => {
  const paths: Record<string, Record<string, unknown>> = {}
  for (const route of Object.values<RouteContract>(ROUTES))
    paths[route.path] = { ...paths[route.path], [route.method]: describe(route) }
  for (const operation of OPERATIONS)
    paths[`/api/calc/${operation.name}`] = {
      post: {
        summary: operation.summary,
        requestBody: { required: true, content: json(inputSchema(operation)) },
        responses: {
          200: { description: 'The result.', content: json(resultSchema(operation)) },
          422: { description: 'What was wrong with the input.', content: json(errorSchema) },
        },
      },
    }
  return {
    openapi: '3.1.0',
    info: { title: 'Hushed Caliper', version: '0.1.0' },
    paths,
  }
}
