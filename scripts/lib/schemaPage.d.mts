interface Client {
  query: (text: string) => Promise<{ rows: unknown[] }>
}
export interface Schema {
  readonly tables: ReadonlyMap<string, readonly object[]>
  readonly references: readonly { readonly from: string; readonly to: string }[]
}
export function readSchema(client: Client): Promise<Schema>
export function schemaPage(schema: Schema): string
export function schemaPicture(schema: Schema): string
