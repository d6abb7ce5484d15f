"""Random recurrence rules with dates by python3-dateutil, as JSON: rules.py SEED COUNT. Each begins where its rule does."""

import json
import random
import signal
import sys
from datetime import datetime, timedelta

from dateutil.rrule import rrulestr

DAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU']
REACH = {'YEARLY': 16000, 'MONTHLY': 4000, 'WEEKLY': 1500, 'DAILY': 900, 'HOURLY': 40, 'MINUTELY': 1, 'SECONDLY': 0.1}


def some(rng, low, high, most=3, signed=False):
    picked = rng.sample(range(low, high + 1), rng.randint(1, most))
    return ','.join(str(-one if signed and rng.random() < 0.3 else one) for one in picked)


def rule(rng):
    freq = rng.choice(list(REACH)[: rng.choice([4, 4, 4, 7])])
    parts = {'FREQ': freq}
    if rng.random() < 0.5:
        parts['INTERVAL'] = str(rng.choice([1, 2, 3, 4, 5, 7, 10, 13, 24, 45, 100]))
    chance = 0.25
    if rng.random() < chance:
        parts['BYMONTH'] = some(rng, 1, 12, 4)
    if freq == 'YEARLY' and rng.random() < chance:
        parts['BYWEEKNO'] = some(rng, 1, 53, 4, True)
    if freq in ('YEARLY', 'HOURLY', 'MINUTELY', 'SECONDLY') and rng.random() < chance:
        parts['BYYEARDAY'] = some(rng, 1, 366, 6, True)
    if freq != 'WEEKLY' and rng.random() < chance:
        parts['BYMONTHDAY'] = some(rng, 1, 31, 5, True)
    if rng.random() < 0.4:
        numbered = freq == 'MONTHLY' or (freq == 'YEARLY' and 'BYWEEKNO' not in parts)
        days = rng.sample(DAYS, rng.randint(1, 4))
        parts['BYDAY'] = ','.join(
            (str(rng.choice([1, 2, 3, 4, 5, -1, -2])) if numbered and rng.random() < 0.5 else '') + day for day in days
        )
    if rng.random() < chance:
        parts['BYHOUR'] = some(rng, 0, 23, 4)
    if rng.random() < chance:
        parts['BYMINUTE'] = some(rng, 0, 59, 4)
    if rng.random() < chance / 2:
        parts['BYSECOND'] = some(rng, 0, 59, 3)
    # Of its first week dateutil counts only what lies behind the beginning: RFC 5545 means the whole week.
    if freq != 'WEEKLY' and rng.random() < 0.3 and any(one.startswith('BY') for one in parts):
        parts['BYSETPOS'] = some(rng, 1, 4, 2, True)
    if rng.random() < 0.3:
        parts['WKST'] = rng.choice(DAYS)
    return freq, parts


def written(parts):
    return ';'.join('='.join(part) for part in parts.items())


def first(parts, begin, reach):
    until = (begin + reach).strftime('%Y%m%dT%H%M%S')
    return next(iter(rrulestr(f'RRULE:{written(parts)};UNTIL={until}', dtstart=begin)), None)


def late(*_):
    raise TimeoutError


# What never comes again is looked for up to the year 9999: such a rule is left to other tests.
signal.signal(signal.SIGALRM, late)

rng = random.Random(int(sys.argv[1]))
cases = []
while len(cases) < int(sys.argv[2]):
    freq, parts = rule(rng)
    around = datetime(rng.randint(1975, 2060), rng.randint(1, 12), rng.randint(1, 28), rng.randint(0, 23), rng.randint(0, 59), 0)
    reach = timedelta(days=REACH[freq])
    signal.setitimer(signal.ITIMER_REAL, 0.5)
    try:
        # Where it begins is part of what it means: asked again from its first date on.
        start = first(parts, around, reach)
        if start is None or first(parts, start, reach) != start:
            continue
        ends = dict(parts)
        if rng.random() < 0.3:
            ends['COUNT'] = str(rng.randint(1, 40))
        elif rng.random() < 0.3:
            ends['UNTIL'] = (start + reach * rng.random()).strftime('%Y%m%dT%H%M%SZ')
        told = written(ends)
        begin = (start + reach * rng.random() * (0 if rng.random() < 0.4 else 1)).replace(microsecond=0)
        end = (begin + reach * rng.random() * 0.5).replace(microsecond=0)
        found = []
        for one in rrulestr('RRULE:' + told.rstrip('Z').replace('Z;', ';'), dtstart=start).xafter(begin, inc=True):
            if one > end or len(found) == 120:
                break
            found.append(one.strftime('%Y-%m-%dT%H:%M:%S'))
    except (ValueError, TimeoutError):
        continue
    finally:
        signal.setitimer(signal.ITIMER_REAL, 0)
    cases.append({
        'start': start.isoformat(),
        'rule': told,
        'from': begin.strftime('%Y-%m-%dT%H:%M:%S'),
        'until': end.strftime('%Y-%m-%dT%H:%M:%S'),
        'found': found,
    })
json.dump(cases, sys.stdout)
