import { Validator } from '@seriousme/openapi-schema-validator';

/** What an independent validator finds wrong with an OpenAPI document. */
export async function validate(document: Record<string, unknown>): Promise<unknown[]> {
  const result = await new Validator().validate(document);
  return result.valid ? [] : [result.errors];
}
