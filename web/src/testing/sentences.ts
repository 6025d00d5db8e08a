import { readFileSync } from 'node:fs'

/** As the server's field catalogue brings them. */
export const sentences = JSON.parse(readFileSync('../formats/src/main/resources/io/enthalpa/formats/sentences.json', 'utf8')) as Record<
  string,
  string
>
