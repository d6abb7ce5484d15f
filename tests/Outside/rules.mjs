// The recurrence rules on stdin (as tests/Outside/rules.py writes them), with dates by npm's rrule-temporal, as JSON.
import 'temporal-polyfill/global'
import { readFileSync } from 'node:fs'
import { RRuleTemporal } from 'rrule-temporal'

const basic = (civil) => civil.replace(/[-:]/g, '')
const found = JSON.parse(readFileSync(0, 'utf8')).map(({ start, rule, from, until }) =>
  new RRuleTemporal({ rruleString: `DTSTART;TZID=UTC:${basic(start)}\nRRULE:${rule}` })
    .between(new Date(`${from}Z`), new Date(`${until}Z`), true)
    .slice(0, 120)
    .map((date) => date.toPlainDateTime().toString({ smallestUnit: 'second' })),
)
process.stdout.write(JSON.stringify(found))
