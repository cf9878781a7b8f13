// Reads [schema, briefs] and prints what ajv 8.17.1 makes of the schema under its meta-schema, and of each brief under the schema.
import {readFileSync} from 'node:fs'
import Ajv2020 from 'ajv/dist/2020.js'

const [schema, briefs] = JSON.parse(readFileSync(0, 'utf8'))
const ajv = new Ajv2020({allErrors: true, allowUnionTypes: true, unicodeRegExp: true})
console.log(JSON.stringify(ajv.validateSchema(schema) || ajv.errorsText()))
const validate = ajv.compile(schema)
for (const brief of briefs) console.log(JSON.stringify(validate(brief) || ajv.errorsText(validate.errors)))
