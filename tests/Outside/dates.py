"""An iCalendar object on stdin, as python3-icalendar and python3-dateutil understand it, as JSON: dates.py UNTIL INSTANTS.
UNTIL: the last start that is asked for; INSTANTS: at which the offset of its own zone is wanted; seconds since 1970."""

import json
import sys
from datetime import datetime, timezone
from zoneinfo import ZoneInfo

from dateutil.rrule import rruleset, rrulestr
from icalendar import Calendar

calendar = Calendar.from_ical(sys.stdin.buffer.read())
until = int(sys.argv[1])


def listed(value):
    return value if isinstance(value, list) else [] if value is None else [value]


def second(civil, zone):
    # Of a repeated hour the first; what the clock leaves out by the offset before it (RFC 5545 section 3.3.5).
    at = civil.replace(tzinfo=ZoneInfo(zone), fold=0)
    return int(at.astimezone(timezone.utc).timestamp())


def event(one):
    zone = one['DTSTART'].params['TZID']
    start = one.decoded('DTSTART').replace(tzinfo=None)
    dates = rruleset()
    dates.rdate(start)
    if 'RRULE' in one:
        dates.rrule(rrulestr(one['RRULE'].to_ical().decode().split(';UNTIL')[0], dtstart=start))
    for name, add in (('RDATE', dates.rdate), ('EXDATE', dates.exdate)):
        for group in listed(one.get(name)):
            for date in group.dts:
                add(date.dt.replace(tzinfo=None))
    starts = []
    for at in dates:
        if second(at, zone) > until:
            break
        starts.append(second(at, zone))
    return {
        'id': str(one['UID']),
        'name': str(one['SUMMARY']),
        'starts': starts,
        'end': second(one.decoded('DTEND').replace(tzinfo=None), zone),
    }


clocks = calendar.walk('VTIMEZONE')[0].to_tz()
at = [datetime.fromtimestamp(int(one), timezone.utc) for one in sys.argv[2:]]
print(json.dumps({
    'events': [event(one) for one in calendar.walk('VEVENT')],
    'offsets': [int(one.astimezone(clocks).utcoffset().total_seconds()) for one in at],
}))
