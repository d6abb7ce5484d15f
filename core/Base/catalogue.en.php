<?php

declare(strict_types=1);

/*
 * code → [what is wrong and why, how to mend it]; ICU MessageFormat. A single quote that is text is written ''.
 */
return [
    'input.json' => ['This is not JSON: {what}.', 'Send one JSON document.'],
    'input.missing' => ['“{key}” is missing.', 'Add “{key}”.'],
    'input.unknown_key' => ['“{key}” is not known here.', 'Use only: {known}.'],
    'input.type' => ['{wanted} is wanted here, {given} was given.', 'Give {wanted}.'],
    'input.range' => ['{value} is outside {least} to {most}.', 'Give a value from {least} to {most}.'],
    'input.length' => ['The text has {length} characters; {least} to {most} are allowed.', 'Shorten or complete the text.'],
    'input.count' => ['The list has {count} items; {least} to {most} are allowed.', 'Give {least} to {most} items.'],
    'input.choice' => ['“{value}” is none of: {known}.', 'Choose one of: {known}.'],
    'input.id' => ['“{value}” cannot be an id.', 'Use 1 to 64 letters, digits, hyphens, dots or underscores.'],
    'input.too_large' => ['{bytes} bytes are more than the {most} that are read.', 'Send a smaller document.'],
    'input.colour' => ['“{value}” is no colour.', 'Write it as #RRGGBB, for example #276B62.'],
    'number.too_large' => ['The exact result does not fit into 64 bits.', 'Use smaller or rounder numbers.'],
    'pane.command_unknown' => ['There is no command “{name}”.', 'Use one of: {known}, schema, list.'],
    'pane.argument' => ['“{argument}” is not expected here.', 'Leave it out; input comes as JSON on standard input.'],
    'pane.our_fault' => ['Something is wrong on our side: {what}', 'Please report it with the input that caused it.'],
    'surface.grid_or_panels' => ['A surface is either a grid or a list of panels.', 'Give exactly one of “grid” and “panels”.'],
    'surface.free_arrangement' => ['{count} separate panels are given; free arrangements are not resolved yet.', 'Describe the wall as a grid, or give one panel.'],
    'glaze.size' => ['“{value}” is no size.', 'Write a number above 0 with px, %, mm or fr; px and fr are whole numbers.'],
    'glaze.min_needs_fr' => ['A minimum was given for a part of {size}.', 'Only parts sized in fr have a minimum; remove it or use fr.'],
    'glaze.pitch_needed' => ['A size in mm needs the pixel pitch.', 'Give pitch_mm, or size the part in px.'],
    'glaze.pane_twice' => ['“{pane}” stands in the layout twice.', 'Give every pane and split an id of its own.'],
    'glaze.too_deep' => ['The layout is nested deeper than {most} splits.', 'Put neighbouring parts into one split.'],
    'glaze.too_large' => ['The parts ({parts}) need {difference_px} px more than the {available_px} px there are.', 'Make a part smaller, or size one in fr so that it takes what is left.'],
    'glaze.not_filled' => ['The parts ({parts}) leave {difference_px} px of {available_px} px unfilled.', 'Size one part in fr so that it takes what is left, or enlarge a part.'],
    'glaze.pane_too_small' => ['The part sized {size} would be {px} px long.', 'Leave every part at least 1 px.'],
    'lattice.beyond' => ['The cells reach beyond the lattice of {columns} × {rows}.', 'Choose cells inside it; they count from 0.'],
    'playlist.entry_twice' => ['The entry id “{id}” is used twice.', 'Give every entry an id of its own.'],
    'playlist.period_too_long' => ['The lists repeat together only after {entries} entries; this instant cannot be found.', 'Ask for an earlier instant, or use list lengths with a common factor.'],
    'reflow.loosened' => ['A part of {size} does not fit this surface and takes a share instead.', 'Give the part a share (fr), or make a layout for this surface.'],
];
