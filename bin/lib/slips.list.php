<?php

declare(strict_types=1);

/*
 * Slips of a programmer that tests must notice: file, what stands there (exactly once), what is put in its place, and for
 * src the tests (PHPUnit's --filter) that should fail. Of the front end, vitest alone is asked. See bin/slips.
 */
return [
    ['frontend/src/document/useDocument.ts', 'status >= 500', 'status >= 600', ''],
    ['frontend/src/document/useDocument.ts', "status === 401 || code === 'session.csrf'", "code === 'session.csrf'", ''],
    ['frontend/src/document/useDocument.ts', 'if (mine) await queue.rebase', 'if (!mine) await queue.rebase', ''],
    ['frontend/src/document/useDocument.ts', 'Math.max(madeOn, revision.value)', 'madeOn', ''],
    ['frontend/src/document/useDocument.ts', 'if (current.document === id.value) accept(answer, false)', 'accept(answer, false)', ''],
    ['frontend/src/document/queue.ts', 'Object.assign(first, { revision, sent: false })', 'Object.assign(first, { revision })', ''],
    ['frontend/src/document/queue.ts', 'last.target === made.target', 'true', ''],
    ['frontend/src/document/queue.ts', 'left.sort((a, b) => a.at - b.at)', 'left.sort((a, b) => b.at - a.at)', ''],
    ['frontend/src/player/fetching.ts', "await verified(cache, base + sha256 + (mime === 'text/html' ? '.html' : ''), sha256)", 'void mime', ''],
    ['frontend/src/player/fetching.ts', 'return known ?? null', 'return null', ''],
    ['frontend/src/player/shows.ts', 'nowMs < one.until_ms', 'nowMs <= one.until_ms', ''],
    ['frontend/src/player/steady.ts', 'const STEP_ABOVE_MS = 2000', 'const STEP_ABOVE_MS = 200_000', ''],
    ['frontend/src/player/steady.ts', 'Math.max(-most, Math.min(most, wanted))', 'wanted', ''],
    ['frontend/src/player/steady.ts', 'Math.max(Number.isFinite(wallMs) ? wallMs : 0, latestMs)', '(Number.isFinite(wallMs) ? wallMs : 0)', ''],
    ['frontend/src/player/acts.ts', '|| file.number < this.file.number', '', ''],
    ['frontend/src/player/acts.ts', "return sure ? nowMs < act.until_ms : ", 'return ', ''],
    ['frontend/src/player/taking.ts', 'if (this.wants !== order.sha256) return', '', ''],
    ['frontend/src/player/taking.ts', 'if (orders.number < this.kept.ordersNumber) return', '', ''],
    ['src/UseCase/Act/PublishActs.php', '$this->published->numberOf(self::PREFIX.$key) !== $number', 'false', 'ActsTest'],
    ['src/Entity/Player.php', 'max($this->ordersNumber + 1, $nowMs)', '$nowMs', 'HandoffTest'],
    ['src/UseCase/Player/TakeProof.php', '$this->acts->late((int) $row->surface->site->id, $this->clock->nowMs())', 'null', 'ActsTest'],
    ['frontend/src/player/together.ts', '.sort((a, b) => a.number - b.number)', '', ''],
    ['frontend/src/plan/phase.ts', 'index > 0 || (cycleMs !== null && tMs >= cycleMs)', 'index > 0', ''],
    ['frontend/src/plan/lookup.ts', 'from(steps[middle]!) <= atMs', 'from(steps[middle]!) < atMs', ''],
    ['src/UseCase/Document/Desks.php', '$toChange ? $desk->right() : Right::See', 'Right::See', 'RightsTest|GateTest'],
    ['src/UseCase/Document/EditDocument.php', '$answer = $isStale', '$answer = false', 'StyleTest|EditTest'],
    ['src/UseCase/Document/EditDocument.php', '$step->number > $shown', 'true', 'EditTest|RaceTest'],
    ['src/UseCase/Design/DesignDesk.php', '$this->references->remove($before->id, References::MEDIA, $media);', '', 'EditTest'],
    ['src/UseCase/Gate.php', '$grants->isEmpty() => throw', 'false => throw', 'RightsTest|GateTest'],
    ['src/Repository/Documents.php', '$number % self::KEYFRAME_EVERY === 0', '$number % self::KEYFRAME_EVERY === 1', 'EditTest|MendTest'],
    ['src/UseCase/Handoff/HandOver.php', '$this->clock->nowMs() + self::LEAD_MS', '$this->clock->nowMs()', 'HandoffTest|PublishTest'],
    ['src/UseCase/Handoff/HandOver.php', '($current->number ?? 0) !== $after', 'false', 'HandoffTest|RaceTest'],
    ['src/UseCase/Player/TakeProof.php', '$expectation?->proves($proof) ?? false', 'true', 'HandoffTest'],
    ['src/UseCase/Player/PairPlayer.php', "hash_equals(\$player->tokenHash, hash('sha256', \$token))", 'true', 'PairingTest|RightsTest'],
];
