<?php

declare(strict_types=1);

/*
 * code → [what is wrong and why, how to mend it]; ICU MessageFormat. Apostrophes are typographic (’): a straight one
 * quotes in ICU.
 */
return [
    'input.json' => ['This is not JSON: {what}.', 'Send one JSON document.'],
    'input.key_twice' => ['“{key}” is given twice in one object.', 'Leave one of them out.'],
    'input.too_many_values' => ['The document holds more than {most} values.', 'Send a smaller document.'],
    'input.uuid' => ['“{value}” is no UUID.', 'Write it as 8-4-4-4-12 digits and small letters a to f.'],
    'input.new_id' => ['“{value}” cannot be the id of something new.', 'Begin it with a letter.'],
    'input.missing' => ['“{key}” is missing.', 'Add “{key}”.'],
    'input.unknown_key' => ['“{key}” is not known here.', 'Use only: {known}.'],
    'input.type' => ['{wanted} is wanted here, {given} was given.', 'Give {wanted}.'],
    'input.range' => ['{value} is outside {least} to {most}.', 'Give a value from {least} to {most}.'],
    'input.length' => [
        'The text has {length} characters; {least} to {most} are allowed.',
        'Shorten or complete the text.',
    ],
    'input.count' => ['The list has {count} items; {least} to {most} are allowed.', 'Give {least} to {most} items.'],
    'input.choice' => ['“{value}” is none of: {known}.', 'Choose one of: {known}.'],
    'input.name' => ['A name has no signs that cannot be seen.', 'Type it anew.'],
    'input.id' => ['“{value}” cannot be an id.', 'Use 1 to 64 letters, digits, hyphens, dots or underscores.'],
    'input.too_large' => ['{bytes} bytes are more than the {most} that are read.', 'Send a smaller document.'],
    'input.colour' => ['“{value}” is no colour.', 'Write it as #RRGGBB, for example #276B62.'],
    'number.too_large' => ['The exact result does not fit into 64 bits.', 'Use smaller or rounder numbers.'],
    'pane.command_unknown' => ['There is no command “{name}”.', 'Use one of: {known}, schema, list.'],
    'pane.argument' => ['“{argument}” is not expected here.', 'Leave it out; input comes as JSON on standard input.'],
    'pane.option' => ['{option} takes a whole number.', 'Give one from {least} to {most}.'],
    'pane.file_wanted' => ['{name} reads a file.', 'Give it as --file FILE.'],
    'pane.file_unreadable' => ['{file} cannot be read.', 'Check the path and its rights.'],
    'pane.output_closed' => [
        'The answer could not be written: the output is closed or full.',
        'Give it a place where it can be written.',
    ],
    'pane.our_fault' => ['Something is wrong on our side: {what}', 'Please report it with the input that caused it.'],
    'surface.blends_in_grid' => [
        'The panels of a grid do not overlap, so none are blended.',
        'Leave out “blends”, or describe the panels one by one.',
    ],
    'surface.grid_or_panels' => [
        'A surface is either a grid or a list of panels.',
        'Give exactly one of “grid” and “panels”.',
    ],
    'surface.panel_twice' => ['Two panels are called “{id}”.', 'Give every panel an id of its own.'],
    'surface.panel_unknown' => ['There is no panel “{id}”.', 'Name a panel of this surface.'],
    'surface.butted_needs_grid' => [
        'Butted panels must be of one size and stand in columns and rows.',
        'Make the surface compensated, or line the panels up.',
    ],
    'surface.panel_below_px' => [
        'Panel {id} is less than one canvas pixel wide or high.',
        'Put the panel with the finest pitch first: its pitch is the canvas’s.',
    ],
    'surface.canvas_too_large' => [
        'The canvas would have {width} × {height} px; {most} per side is the most.',
        'Check positions and gaps (in mm), or divide it into two surfaces.',
    ],
    'surface.pixels_not_square' => [
        'The pixels are not square: {x} × {y} mm.',
        'Compare pixels and size in mm with the data sheet; mostly width and height of one of them are swapped.',
    ],
    'surface.looks_swapped' => [
        '{width} × {height} px is {is}, but {chosen} was chosen.',
        'Swap width and height, or choose the other orientation; or say that it is right.',
    ],
    'surface.unlike_its_kind' => [
        '{width} × {height} px is {is}; all {count} other surfaces of the kind {kind} are not.',
        'Swap width and height, or say that it is right.',
    ],
    'surface.asked' => ['Something here looks like a slip.', 'Answer the questions, then send it again.'],
    'surface.in_use' => [
        '“{name}” is in use by {how, select, designs{design “{designs}”} players{player {players}} '.
            'other{design “{designs}” and player {players}}}.',
        'Archive it all the same, or move what uses it first.',
    ],
    'surface.viewing_order' => [
        'The farthest viewer is nearer than the nearest, {near} mm.',
        'Give a farthest distance of at least {near} mm.',
    ],
    'surface.safe_too_wide' => ['The safe area leaves nothing of {width} × {height} px.', 'Make its margins smaller.'],
    'wall.panels_overlap' => [
        'Panels {a} and {b} overlap by {width} × {height} px.',
        'Move one of them, or declare the two a blend.',
    ],
    'wall.panels_scaled' => [
        'Of another pitch than the first panel, and so scaled: {panels}.',
        'Nothing to do if the panels are meant to differ; the picture is sized to each.',
    ],
    'area.outside' => [
        '“{name}” reaches to {right} × {bottom}, the canvas only to {width} × {height} px.',
        'Make it smaller or move it.',
    ],
    'area.below_px' => ['“{name}” is less than one pixel.', 'Make it larger.'],
    'area.name_twice' => ['Two areas are called “{name}”.', 'Give each a name of its own.'],
    'figures.not_whole' => [
        'Size ÷ pitch is {px} px, no whole number.',
        '{nearest} px of this pitch are {mm} mm; correct size or pitch.',
    ],
    'figures.contradict' => [
        '{px} px of this pitch are {would} mm, but {given} mm is given: {difference} mm apart.',
        'Leave one of the three away, or correct it; the size given holds {nearest} px.',
    ],
    'edid.empty' => ['The file is empty.', 'Read the display’s EDID out again.'],
    'edid.too_large' => ['{bytes} bytes are no EDID: {most} are the most.', 'Choose the binary EDID file itself.'],
    'edid.not_edid' => [
        'This is no EDID: the first eight bytes are not its mark.',
        'Choose the binary EDID; hex text or a report of it will not do.',
    ],
    'edid.truncated' => [
        'The file has {bytes} bytes, {wanted} are wanted in blocks of 128.',
        'It was cut off; read the display’s EDID out again.',
    ],
    'edid.checksum' => [
        'The checksum of block {block} is {given}, its bytes add up to {right}.',
        'A byte was changed on the way; read the display’s EDID out again.',
    ],
    'edid.version' => ['EDID {version} is not read here.', 'Type the display’s numbers instead.'],
    'edid.no_timing' => [
        'This EDID names no detailed timing, so its native pixels are unknown.',
        'Type the display’s numbers instead.',
    ],
    'edid.older' => [
        'This is the older EDID {version}; its first timing is taken as the native one.',
        'Compare it with the data sheet.',
    ],
    'edid.no_size' => [
        'This EDID gives no size in mm, only a ratio or nothing.',
        'Measure the picture and type its size.',
    ],
    'legible.too_small' => [
        'Capitals are seen under {arcmin}′; {least}′ is the least (ISO 9241-303).',
        'Make capitals at least {px} px high.',
    ],
    'legible.height_or_font' => [
        'Either a capital height or a font at a size is wanted.',
        'Give cap_height_px, or font, weight and size.',
    ],
    'output.unknown' => ['{player} has no output {number} on this surface.', 'Choose an output of the output map.'],
    'output.no_player' => ['This surface has no player.', 'Add a player first.'],
    'output.used_twice' => ['{output} is used twice.', 'Give one of them another number.'],
    'output.player_unknown' => ['{output} belongs to no player of this surface.', 'Choose a player of this surface.'],
    'output.beyond_player' => [
        '{output} is beyond the player: it has {has, plural, one {# output} other {# outputs}}.',
        'Use an output it has, or put several panels on one signal.',
    ],
    'output.panel_gone' => [
        'A slice on {output} is for panel “{panel}”, which the surface does not have.',
        'Give it one of the panels, remove it, or wire one panel per output.',
    ],
    'output.beyond_raster' => [
        'Panel {panel} reaches beyond the signal of {output}.',
        'Move or shrink its place in the signal, or choose a larger mode.',
    ],
    'output.beyond_canvas' => [
        'What {output} takes for panel {panel} reaches beyond the canvas.',
        'Take a part of the canvas.',
    ],
    'output.slices_overlap' => [
        'Panel {panel} lies over another in the signal of {output}.',
        'Move it to a free place in the signal.',
    ],
    'output.scaled' => [
        'On {output} the {from} px of panel {panel} are sized to {to} px.',
        'Give it as many pixels in the signal as on the canvas, or accept that single pixels blur.',
    ],
    'output.uncovered' => ['{px} px of {output} carry nothing.', 'Nothing to do: they stay black.'],
    'output.panel_unwired' => [
        'Panel {panel} (number {number}) has no signal: it stays black.',
        'Wire it to an output.',
    ],
    'output.panel_partly' => [
        '{px} px of panel {panel} get no signal.',
        'Extend what is taken for it from the canvas.',
    ],
    'output.order_incomplete' => [
        'The order does not hold each of the {count} wired panels once.',
        'Click every panel once, in the order they are wired.',
    ],
    'output.order_needs_whole_panels' => [
        'A panel is fed in several pieces, so panels cannot change places.',
        'Wire one panel per output first.',
    ],
    'output.fold_needs_level' => [
        'Panel {id} is mounted turned; only level panels can be folded.',
        'Use one signal for all panels instead.',
    ],
    'glaze.size' => [
        '“{value}” is no size.',
        'Write a number above 0 with px, %, mm or fr; px and fr are whole numbers.',
    ],
    'glaze.min_needs_fr' => [
        'A minimum was given for a part of {size}.',
        'Only parts sized in fr have a minimum; remove it or use fr.',
    ],
    'glaze.pitch_needed' => ['A size in mm needs the pixel pitch.', 'Give pitch_mm, or size the part in px.'],
    'glaze.pane_twice' => ['“{pane}” stands in the layout twice.', 'Give every pane and split an id of its own.'],
    'glaze.too_deep' => ['The layout is nested deeper than {most} splits.', 'Put neighbouring parts into one split.'],
    'glaze.too_large' => [
        'The parts ({parts}) need {difference_px} px more than the {available_px} px there are.',
        'Make a part smaller, or size one in fr so that it takes what is left.',
    ],
    'glaze.not_filled' => [
        'The parts ({parts}) leave {difference_px} px of {available_px} px unfilled.',
        'Size one part in fr so that it takes what is left, or enlarge a part.',
    ],
    'glaze.pane_too_small' => ['The part sized {size} would be {px} px long.', 'Leave every part at least 1 px.'],
    'lattice.too_fine' => [
        'A lattice of {columns} × {rows} is finer than the {width} × {height} px there are.',
        'Use at most as many columns and rows as there are px.',
    ],
    'lattice.beyond' => [
        'The cells reach beyond the lattice of {columns} × {rows}.',
        'Choose cells inside it; they count from 0.',
    ],
    'playlist.entry_twice' => ['The entry id “{id}” is used twice.', 'Give every entry an id of its own.'],
    'span.outside' => ['This reaches beyond the canvas of {width} × {height} px.', 'Choose panels of this surface.'],
    'span.blocked' => [
        'The line would have to go to {at}; other panes hold it between {least} and {most}.',
        'Merge or move the panes in the way first.',
    ],
    'seam.text' => [
        '{letter}: letters stand on a seam between the panels {panels}.',
        'Move or size the zone to whole panels, or align the text away from the seam.',
    ],
    'seam.code' => [
        '{letter}: the QR code lies on a seam between the panels {panels}; cameras will not read it.',
        'Move or size the zone to a whole panel.',
    ],
    'seam.ticker' => [
        '{letter}: the words run across a seam between the panels {panels}.',
        'Leave it so, or keep the line on one panel.',
    ],
    'seam.face' => [
        '{letter}: a marked face lies on a seam between the panels {panels}.',
        'Move the focal point, or span whole panels.',
    ],
    'layout.zone_missing' => [
        '{letter} has no pane in the {orientation} layout and is not shown there.',
        'Place it in that layout, or merge it away in the other.',
    ],
    'player.gone' => [
        '“{player}” does not feed this surface any more.',
        'Look at what is there now, then choose a player.',
    ],
    'player.there' => ['“{player}” feeds this surface already.', 'Give the new player another code.'],
    'player.in_use' => [
        '{player} is paired or was handed a release alone, so it stays.',
        'Archive the surface instead.',
    ],
    'area.unknown' => ['This surface has no area “{area}”.', 'Choose one of its areas, or the whole.'],
    'area.not_there' => [
        '{surface} has no area “{area}”; the whole of it is used.',
        'Give it an area of that name if the design is to lie in a part of it.',
    ],
    'area.in_use' => [
        '“{area}” is what these designs are made for: {designs}.',
        'Keep the area, or archive what is made for it first.',
    ],
    'design.no_surface' => [
        'This design is for a size that no surface has yet; distances are reckoned for viewers at 2 m to 10 m.',
        'Choose the surfaces it is meant for as soon as they are there; it cannot be released before.',
    ],
    'area.rest_empty' => [
        'Only “{area}” of {surface} is used; the rest of the surface shows nothing.',
        'Make the design for the whole surface if more is to be shown.',
    ],
    'reflow.minimum_gone' => [
        'A minimum of {min} px does not fit this surface and gives way.',
        'Lower the minimum, or make a layout for this surface.',
    ],
    'reflow.gutter_gone' => [
        'A gutter of {gutter} px does not fit this surface and is left out.',
        'Make the gutter narrower, or make a layout for this surface.',
    ],
    'reflow.left_out' => [
        '{px} px are not enough for every pane: {panes} are left out.',
        'Make a layout for this surface, or choose a larger one.',
    ],
    'length.far' => [
        'A float would come to {value}; 100,000 are the most either way.',
        'Bring the floats nearer to each other first.',
    ],
    'length.text' => ['“{value}” is no length.', 'Write a number with px or %, for example -40px or 12.5%.'],
    'float.frame' => ['“{value}” is no frame.', 'Use canvas, pane: and a zone’s id, or panel: and a panel’s letter.'],
    'guide.outside' => ['A guide at {at} px lies beyond the canvas.', 'Lay it between 0 and {most} px.'],
    'guide.gone' => ['The guide is not there any more.', 'Lay it again.'],
    'guide.too_many' => ['A design has at most {most} guides.', 'Remove some first.'],
    'group.gone' => ['This group is not in the book any more.', 'Look again: somebody took it away.'],
    'group.in_use' => [
        '{surfaces} belong to this group.',
        'Take them out of it first, each in its own sheet.',
    ],
    'group.too_many' => ['A site has at most {most} groups.', 'Remove some first.'],
    'starter.shares' => ['A starter is sized in shares only, so that it fits other canvases.', 'Write its sizes in fr.'],
    'starter.too_many' => ['A site keeps at most {most} starters.', 'Remove some first.'],
    'part.locked' => ['The size of {letters} is locked.', 'Unlock it beside its size first.'],
    'float.locked' => ['{letter} is locked.', 'Unlock it in the list of layers to move or change it.'],
    'float.no_size' => ['A float of {value} would not be seen.', 'Give it a size above 0.'],
    'float.frame_unknown' => ['There is no frame “{frame}”.', 'Use canvas or one of: {known}.'],
    'float.frame_gone' => [
        'What the float was held to is gone; it lies where it lay then.',
        'Anchor it to the canvas or to another pane.',
    ],
    'float.partly_outside' => [
        'The float lies partly beyond the canvas.',
        'Move it in, if nothing of it should be lost.',
    ],
    'float.outside' => ['The float lies wholly beyond the canvas: nobody will see it.', 'Move it in, or remove it.'],
    'round.never_ends' => [
        '“{scene}” lasts until something else comes, so the scenes after it are never shown.',
        'Give it a length, or take the others out of the round.',
    ],
    'scene.leader_gone' => [
        '“{scene}” lasts for the cycle of a zone that does not stand in it.',
        'Choose another zone, or another length.',
    ],
    'zone.hidden' => [
        '{letter} lies wholly behind {over}: nobody will see it.',
        'Bring it to the front, move it, or remove it.',
    ],
    'reflow.loosened' => [
        'A part of {size} does not fit this surface and takes a share instead.',
        'Give the part a share (fr), or make a layout for this surface.',
    ],

    'document.zone_gone' => ['The zone is no longer there.', 'Look at what is there now, then choose a zone.'],
    'document.part_gone' => ['“{part}” is no longer part of the layout.', 'Look at what is there now, then try again.'],
    'document.scene_gone' => ['The scene is no longer in this design.', 'Open a scene that is there.'],
    'document.layout_gone' => [
        'The scene has no layout for this orientation any more.',
        'Make one, or go on with the layout that is there.',
    ],
    'document.layout_there' => [
        'The scene has a layout for the other orientation already.',
        'Go on with it, or remove it first.',
    ],
    'document.zone_twice' => ['The zone already stands here.', 'Choose another zone, or copy it.'],
    'document.letter_taken' => [
        'The letter {letter} belongs to another zone, or was never given.',
        'Leave the letter out, so that the next one is given.',
    ],
    'document.order' => ['The order does not name every scene once: {scenes}.', 'Name each scene once.'],
    'document.round' => [
        'The round may hold each of these scenes once: {scenes}.',
        'Name scenes of the design, each at most once.',
    ],
    'design.canvas' => [
        'The design is {is} px, what is to be restored is {other} px.',
        'Choose a state of this very design.',
    ],
    'scene.last_of_round' => ['“{scene}” is the only scene of the round.', 'Put another scene into the round first.'],
    'scene.ground' => [
        'A ground is a colour or a picture, not {kind}.',
        'Choose a colour or a picture; place anything else as a zone.',
    ],
    'arithmetic.text' => [
        '“{value}” cannot be reckoned.',
        'Use numbers, px, %, mm or fr, and + - * / ( ), for example 1920/3 or 50% - 8px.',
    ],
    'arithmetic.zero' => ['“{value}” divides by 0.', 'Divide by another number.'],
    'arithmetic.units' => [
        '“{value}” multiplies or divides by a length.',
        'Multiply and divide by numbers without a unit only.',
    ],
    'arithmetic.mixed' => [
        '“{value}” mixes units that have no common one here.',
        'Use one unit, or px with %.',
    ],
    'smil.xml' => ['The file is not well-formed XML: {what} (line {line}).', 'Export it again, or mend it there.'],
    'smil.entities' => ['The file declares entities of its own.', 'Write them out, and try again.'],
    'smil.none' => ['The file is not SMIL but “{root}”.', 'Choose a SMIL document.'],
    'smil.no_size' => [
        'The document says no size in px of its root-layout.',
        'Give root-layout a width and a height in px.',
    ],
    'smil.layout_type' => [
        'Layouts of the type “{type}” are not read.',
        'Use text/smil-basic-layout, or leave type out.',
    ],
    'smil.too_many' => ['The document has more than {most} regions, or they are nested too deep.', 'Use fewer regions.'],
    'smil.too_much' => [
        'The document has more than {elements} elements, or one of more than {attributes} attributes.',
        'Export the layout alone.',
    ],
    'smil.second_window' => ['A second window is left out.', 'Import it from a document of its own.'],
    'smil.body' => ['What is played when is left out: only the layout is read.', 'Fill the zones here.'],
    'smil.element' => ['“{name}” is left out.', 'Nothing is placed by it here.'],
    'smil.attribute' => ['“{name}” is left out.', 'Set it here if it matters.'],
    'smil.nested_z' => ['The layer of a region inside another is left out.', 'Order it in the list of layers.'],
    'smil.no_place' => ['The region has no place that can be seen, and is left out.', 'Give it a width and a height.'],
    'smil.align' => ['“{align}” is no place in a region; the top left one is taken.', 'Set the focal point of the fill.'],
    'smil.layer' => ['“{layer}” is no layer; 0 is taken.', 'Put the zone before or behind the others.'],
    'smil.more' => [
        '{count, plural, one {One more thing was} other {# more things were}} not taken over.',
        'Compare with the original.',
    ],
    'smil.fit' => ['The fit “{fit}” is not known here; the nearest is taken.', 'Look at it, and choose another fit.'],
    'smil.colour' => ['The colour “{colour}” is not known here.', 'Choose a ground for the zone.'],
    'smil.fit_later' => [
        'The fit “{fit}” and the alignment belong to a picture, and there is none yet.',
        'Set them where the picture is put in.',
    ],
    'smil.id' => ['The region is called “{id}” here.', 'Name it as you like.'],
    'smil.focus' => [
        'The focal point of {id} is none of the nine positions that SMIL knows; the nearest is written.',
        'Move the focal point to a corner, an edge or the middle, if it matters.',
    ],
    'float.gone' => ['The float is no longer in this layout.', 'Look at what is there now, then try again.'],
    'zone.letter' => ['“{letter}” is no letter of a zone.', 'Use A to Z, then AA and so on.'],
    'document.damaged' => ['What is stored of it cannot be read: {why}', 'Restore it from its history.'],
    'document.removed' => [
        '{name} was removed.',
        'It can be brought back for {days} more days, where its kind is listed.',
    ],
    'document.whole' => ['It can be read as it is.', 'There is nothing to restore; open it.'],
    'document.in_use' => ['{name} is used by {uses}.', 'Take it out there first, or leave it.'],
    'document.kept' => ['{name} is not removed by itself.', 'It goes with its site; a surface is archived instead.'],
    'document.lost' => [
        'Nothing in its history can be read either.',
        'Bring it back from a backup (docs/running.md), or make it anew.',
    ],
    'document.id_taken' => ['The id “{id}” is already in use.', 'Send the command with a new id.'],
    'document.zone_unplaced' => [
        'Panes and zones do not match: {zones}.',
        'Give every zone a pane in one of the layouts, and every pane a zone.',
    ],
    'split.outside' => ['A split at {at} px would leave nothing on one side.', 'Split between {least} and {most} px.'],
    'merge.no_neighbours' => [
        '{letter} has no such neighbour in its row or column.',
        'Choose a neighbour that shares a whole side.',
    ],
    'mullion.beyond' => ['{at} px is beyond where this line may go.', 'Keep it between {least} and {most} px.'],
    'clock.field' => ['“{field}” is no clock field.', 'Use: {known}; put plain text in single quotes.'],
    'clock.empty' => ['This pattern shows no time.', 'Add a field, for example HH:mm.'],
    'playlist.nested' => ['A playlist cannot stand in a playlist.', 'Add its entries one by one.'],
    'playlist.gone' => ['The zone shows no playlist any more.', 'Set the zone to a playlist first.'],
    'playlist.entry_gone' => ['The entry is no longer in the playlist.', 'Look at what is there now, then try again.'],
    'playlist.full' => ['A playlist holds at most {most} entries.', 'Remove an entry first.'],
    'qr.empty' => ['There is nothing to encode.', 'Write the text that is to be scanned.'],
    'qr.too_long' => [
        'The text takes the room of {bytes} signs of its kind; a QR code of level {level} holds {most} at most.',
        'Shorten it, or choose a level that corrects less.',
    ],
    'qr.address' => ['“{value}” is no address that a telephone opens.', 'Begin it with https:// or http://.'],
    'qr.colours' => [
        '{colour} on {ground} is not read by all cameras: the modules must be darker, with a contrast of 4.5; it is {ratio}.',
        'Choose a darker colour for the modules, or a lighter ground.',
    ],
    'qr.nothing' => ['The QR code of {letter} says nothing yet.', 'Write what is to be scanned.'],
    'qr.no_room' => [
        'The QR code of {letter} has {side} × {side} modules and less than a px for each.',
        'Enlarge the zone, or shorten what is to be scanned.',
    ],
    'qr.covered' => [
        'Something lies over the QR code of {letter}, or it reaches beyond the canvas: cameras may not read it.',
        'Bring it to the front, or move it to where all of it and the edge around it is seen.',
    ],
    'qr.faint' => [
        'One sees through the QR code of {letter}: its modules have a contrast of {ratio} to their ground.',
        'Let less of what lies under it through.',
    ],
    'qr.small' => [
        'The modules of the QR code of {letter} are {px} px wide; cameras may miss them.',
        'Give it {side} px, shorten what is to be scanned, or correct less.',
    ],
    'web.address' => [
        '“{value}” is no address of a page.',
        'Begin it with https://, without a name and password.',
    ],
    'web.nothing' => ['{letter} has no address of a page yet.', 'Write the address.'],
    'web.refuses_framing' => [
        '{address} in {letter} does not let itself be shown in another page ({said}).',
        'Ask whoever runs it to allow this server, or take another page; a picture can stand in for it.',
    ],
    'web.away' => [
        '{address} in {letter} could not be had ({said}).',
        'Look whether the address is right; it is asked again within the hour.',
    ],
    'web.unseen' => ['{address} in {letter} is just being looked at.', 'Wait a moment.'],
    'web.plain' => [
        '{address} in {letter} is not encrypted: players that are reached by https do not load it.',
        'Write https:// where the page can do it.',
    ],
    'web.no_still' => [
        'Nothing stands in for {address} in {letter} when it cannot be had.',
        'Choose a picture for that.',
    ],
    'live.address' => ['“{value}” is no address of a stream.', 'Begin it with https://, without a name and password.'],
    'live.nothing' => ['{letter} does not say where its live picture comes from.', 'Write the address or the device.'],
    'live.stand_in' => ['{letter} shows a stand-in for a live picture.', 'Set the real source before opening day.'],
    'live.plain' => [
        '{source} in {letter} is not encrypted: players that are reached by https do not load it.',
        'Write https:// where the source can do it.',
    ],
    'live.no_still' => ['Nothing stands in for the live picture in {letter} when its signal is gone.', 'Choose a picture for that.'],
    'style.too_many' => ['A house style holds at most {most} of these.', 'Remove one first.'],
    'style.not_taken' => [
        '{letter} cannot have what the house style says now, and stays as it was: {why}',
        'Choose other names for it, or mend the style.',
    ],
    'style.gone' => ['This site has no such house style.', 'Choose one of those that are there.'],
    'style.tokens' => [
        'This is no design tokens file: {why}.',
        'Take a JSON file in the format of the Design Tokens Community Group.',
    ],
    'media.over' => [
        '“{what}” in {letter} was allowed up to {day}: nothing is shown in its place.',
        'Take another one, or note a later day in the Stock.',
    ],
    'media.ends' => [
        '“{what}” in {letter} is allowed up to {day}; after that day nothing is shown in its place.',
        'Plan what comes after it.',
    ],
    'time.day' => ['“{value}” is no day.', 'Write it as 2026-12-24.'],
    'stock.noted' => ['Somebody noted something else of “{name}” meanwhile.', 'Look at it, then note yours again.'],
    'chart.value' => ['“{value}” is no number.', 'Write it like 12.5, with at most three decimals.'],
    'chart.range' => ['From {from} to {to} is no range.', 'Let it end above where it begins.'],
    'chart.empty' => ['The chart in {letter} has no rows yet.', 'Write what it shows.'],
    'chart.small' => [
        'The letters of the chart in {letter} are {size} px high; {least} are wanted.',
        'Shorten the labels, take fewer rows, or enlarge the zone.',
    ],
    'sound.several' => [
        '{letters} are heard at the same time.',
        'Take the sound from all but one.',
    ],
    'count.field' => ['“{field}” is no field of a count.', 'Use {known}, and put letters into single quotes.'],
    'count.empty' => ['The pattern shows no time.', 'Write for example D HH:mm:ss.'],
    'time.civil' => ['“{value}” is no date and time.', 'Write it as 2026-12-24T18:00.'],
    'time.instant' => ['“{value}” is no instant.', 'Write it as 2026-12-24T18:00:00Z, between 1970 and 2400.'],
    'time.zone' => ['There is no time zone “{zone}”.', 'Name one of the tz database, such as Europe/London.'],
    'time.of_day' => ['“{value}” is no time of day.', 'Write it as 18:30; 24:00 is the end of the day.'],
    'schedule.end_before' => [
        'It would end at {end}, before it begins.',
        'Leave out the days to mean the next day, or end later.',
    ],
    'schedule.until_before' => ['It would end before it begins.', 'Ask for a stretch that ends later.'],
    'schedule.entry_twice' => ['Two entries are called “{id}”.', 'Give each an id of its own.'],
    'when.words' => [
        '“{part}” is not understood.',
        'Write it like “every first Monday, 05:40 to 01:15, from 2 March 2026”, or short: “mon-fri 6-9”.',
    ],
    'when.times' => ['From when to when is not said.', 'Add two times of day, such as “6:00 to 9:30”, or “all day”.'],
    'when.never' => ['“{words}” never comes.', 'Change its days.'],
    'recurrence.part' => [
        '“{part}” says nothing in this rule.',
        'Write it as in RFC 5545, such as FREQ=WEEKLY;BYDAY=MO,TU; each part once.',
    ],
    'recurrence.number' => ['“{part}” is not between {least} and {most}.', 'Choose a number in between.'],
    'recurrence.day_number' => [
        'The number in “{part}” counts weekdays of a month or a year.',
        'Leave it out, or say FREQ=MONTHLY or FREQ=YEARLY without week numbers.',
    ],
    'recurrence.until' => ['“{value}” is no end of a rule.', 'Write it in UTC with time, as 20261224T180000Z.'],
    'recurrence.count_and_until' => ['The rule has two ends.', 'Say COUNT or UNTIL.'],
    'recurrence.start' => [
        'The rule does not come on {start}, where it would begin.',
        'Begin on {first}, the first that it does.',
    ],
    'recurrence.never' => ['The rule “{rule}” never comes.', 'Change its days.'],
    'cutout.no_picture' => ['This is no PNG or WebP that can be read.', 'Save it anew as a PNG with an alpha channel.'],
    'cutout.too_large' => [
        'The picture has {width} × {height} px, more than the {most} that openings are looked for in.',
        'Make it smaller.',
    ],
    'text.font_unknown' => ['There is no face “{family}” of weight {weight}.', 'Choose one of: {known}.'],
    'text.run_misplaced' => [
        'Characters {from} to {to} cannot be set otherwise: they must lie between {free} and {end}.',
        'Mark characters that are in the text and not marked already.',
    ],

    'zone.empty' => ['{letter} shows nothing.', 'Give it a fill; under art a colour is enough. Or merge it with a neighbour.'],
    'text.nothing' => ['The text of {letter} has no words yet.', 'Write them, or remove the zone.'],
    'moment.time' => [
        '“{value}” is no time after a start.',
        'Give seconds, or hours, minutes and seconds like 2:13:07.',
    ],
    'playlist.layout' => [
        'A playlist has no layout: it is one list that fills its canvas.',
        'Make a design, and let a zone of it show this playlist.',
    ],
    'playlist.elsewhere' => [
        'The entries of {letter} are those of a playlist in the Stock.',
        'Open the playlist to change them, or give the zone entries of its own.',
    ],
    'playlist.unknown' => [
        'There is no such playlist in the Stock.',
        'Choose one that is there.',
    ],
    'sync.circle' => [
        '{letter} cannot go in step with {leader}, which goes in step with {letter}.',
        'Let {leader} go by itself first.',
    ],
    'sync.no_leader' => [
        '{letter} is to go in step with another zone, which is not in this scene or shows no list: it goes by itself.',
        'Give its leader a list, or let it go by itself.',
    ],
    'sync.entry_not_reached' => [
        'Entry {place} of {letter} is never shown: no step of its leader reaches it.',
        'Let it wrap round, take the entry out, or give its leader more.',
    ],
    'playlist.nothing_between' => [
        'All entries of {letter} lie between others, and there are none: nothing shows.',
        'Let at least one of them lie among the others.',
    ],
    'sync.never_shown' => [
        'Entry {entry} of {zone} is never shown: its leader has fewer.',
        'Let it wrap round, take the entry out, or give the leader one more.',
    ],
    'playlist.hours_over' => [
        'Days and hours of an entry of {letter} are over: it never plays again.',
        'Give it other days, or take it out.',
    ],
    'playlist.empty' => ['The playlist of {letter} has no enabled entry.', 'Add an entry or enable one.'],
    'media.missing' => [
        'The file that {letter} shows is not in the Stock.',
        'Choose another file, or add it to the Stock again.',
    ],
    'media.not_ready' => [
        '“{what}” in {letter} is still being looked at, or could not be read.',
        'Wait for the Stock to finish; if it says “failed”, use another file.',
    ],
    'picture.stretched' => [
        '“{what}” in {letter} is stretched: its ratio is off by {percent} %.',
        'Use contain or cover, or art in the ratio of the zone.',
    ],
    'picture.enlarged' => [
        '“{what}” in {letter} is drawn at {scale} times its own pixels and will look soft.',
        'Use a larger file, or a smaller zone.',
    ],
    'picture.cut' => [
        'Cover cuts away {percent} % of “{what}” in {letter}.',
        'Use contain, move the focal point, or art in the ratio of the zone.',
    ],
    'video.longer_than_slot' => [
        '“{what}” in {letter} lasts {video_s} s but its entry only {slot_s} s: its end is never seen.',
        'Set the duration to “as long as its content”, or shorten the video.',
    ],
    'transition.too_long' => [
        'An entry of {letter} would fade in for {asked_s} s, and takes {takes_s} s: it or the one before lasts no longer.',
        'Give both more time, or fade for a shorter one.',
    ],
    'text.overflows' => [
        'The text of {letter} does not fit at {size} px.',
        'Shorten it, let it wrap or shrink, or enlarge the zone.',
    ],
    'text.contrast' => [
        'The letters of {letter} have a contrast of {ratio} to their ground; {least} is wanted.',
        'Choose a lighter or darker colour for the letters or the ground, or give them a plate.',
    ],
    'text.contrast_under' => [
        'The letters of {letter} have a contrast of {ratio} to what lies under them, at the worst place; {least} is '.
            'wanted.',
        'Give them a plate, a ground or an outline, or move them to where the picture is calmer.',
    ],
    'progress.of_nothing' => [
        'The progress in {letter} never fills: what it is of has no end here, or is not in this scene.',
        'Give the scene a length, or choose a playlist of this scene.',
    ],
    'text.too_fast' => [
        'The text of {letter} runs by at {rate} characters a second; more than {most} are hard to follow.',
        'Let it run more slowly, or shorten it.',
    ],
    'text.too_small' => [
        'The capitals of {letter} are {cap} px high; the farthest viewer needs {least} px.',
        'Set it at {size} px or more, or say in the surface’s sheet that viewers stand nearer.',
    ],
    'text.approximate' => [
        'The width of the text in {letter} is an estimate: it has characters that {font} lacks, tabs, invisible '.
            'characters or a script whose letters join.',
        'Check it on the player, or write it without them.',
    ],

    'session.wrong' => ['The address or the password is wrong.', 'Check both and try again.'],
    'session.wait' => ['Too many wrong passwords for this address.', 'Wait {seconds} s, then try again.'],
    'session.needed' => ['You are not signed in.', 'Sign in; what you have typed is kept.'],
    'session.csrf' => ['This page is older than your sign-in.', 'Load the page again; what you have typed is kept.'],
    'right.missing' => ['Your role ({role}) may not do this.', 'Ask an administrator or someone whose work it is.'],
    'right.missing_at' => ['At {site} you may not do this ({right}).', 'Ask an administrator of the site for it.'],
    'address.absent' => ['There is no such {what}.', 'Check the address, or go back to the Elevation.'],
    'address.refused' => ['This cannot be asked here.', 'Check the address and the method.'],
    'session.json_only' => ['Signing in is asked in JSON.', 'Send it as application/json.'],
    'session.origin' => ['Signing in was asked by a page that is not ours.', 'Open Upper Pane itself and sign in there.'],
    'service.database_away' => [
        'The database cannot be reached.',
        'Nothing is lost: it is sent again as soon as the database is back.',
    ],
    'service.fault' => [
        'Something went wrong on our side (number {number}).',
        'Try again; if it stays, tell an administrator the number.',
    ],
    'document.changed_since' => ['{who} changed the same place while you worked.', 'Choose which version stays.'],
    'undo.nothing' => [
        'There is nothing of yours to take back or do again.',
        'Other people’s changes can be taken back only by them.',
    ],
    'undo.changed_since' => [
        '{who} has since changed the same place.',
        'Look at what is there now; your earlier version stays in the history.',
    ],
    'undo.impossible' => ['This cannot be taken back any more: {why}', 'Change it by hand.'],
    'stock.no_file' => ['No file came with the request.', 'Choose a file and send it again.'],
    'stock.upload_broken' => ['The file did not arrive whole: {why}', 'Send it again.'],
    'stock.empty' => ['“{name}” has 0 bytes.', 'Export the file again.'],
    'stock.type' => ['“{name}” is {mime} by its content, whatever its name says.', 'Use one of: {known}.'],
    'stock.too_large' => ['“{name}” is too large: {most} GB are the most.', 'Cut it, or encode it at a lower rate.'],
    'stock.part_type' => ['A part comes as application/offset+octet-stream.', 'Send it with that Content-Type.'],
    'stock.part_version' => ['Files come in parts by tus 1.0.0.', 'Send Tus-Resumable: 1.0.0.'],
    'stock.part' => [
        'A part of {bytes} bytes does not fit here: 1 to {most} are wanted.',
        'Send it as the answer to a HEAD request says.',
    ],
    'stock.upload_elsewhere' => [
        'Of this upload {received} bytes have arrived: it goes on from there.',
        'Ask with HEAD how much is there, and send the rest.',
    ],
    'stock.there' => ['“{name}” is in the Stock.', 'Look for it there.'],
    'stock.no_sound' => ['No sound can be read from this file.', 'Export it again as MP3, M4A, WAV, OGG or FLAC.'],
    'stock.page_broken' => ['This ZIP cannot be read.', 'Pack it again, without a password.'],
    'stock.page_too_large' => [
        'This ZIP holds more than {files} files, or more than {mb} MB.',
        'Leave out what the page does not show.',
    ],
    'stock.page_without_index' => ['This ZIP holds no index.html.', 'Name the page so, and pack it again.'],
    'stock.font_broken' => [
        'This font cannot be read, or its letters cannot be drawn.',
        'Export it again as TTF or OTF, or ask whoever made it for a whole file.',
    ],
    'stock.font_unnamed' => ['This font says no name of its family, or has no characters.', 'Ask for a whole file.'],
    'stock.font_restricted' => [
        'The licence bits of “{family}” forbid embedding it, and players would have to.',
        'Ask its maker for a file that may be embedded.',
    ],
    'stock.font_known' => [
        'There is a face “{family}” of weight {weight} already.',
        'Use that one, or remove it from the Stock first.',
    ],
    'stock.no_room' => [
        'The file needs {needed} MB, and only {free} MB are left for the Stock.',
        'Remove files that are not used, or ask the administrator for a larger disk.',
    ],
    'stock.no_picture' => ['No picture can be found in the file.', 'Export it again and add the new file.'],
    'stock.no_video' => [
        'No moving picture with a length can be found in the file.',
        'Export it again as H.264 or VP9.',
    ],
    'stock.damaged' => ['The file is damaged or cut off.', 'Export it again, or copy it again, and add the new file.'],
    'stock.codec' => ['{codec} is a codec that cannot be read here.', 'Export the video as H.264, HEVC, VP9 or AV1.'],
    'trim.empty' => ['It would end at {to} ms, before or when it begins.', 'Let it end after {from} ms.'],
    'stock.changed' => [
        '“{name}” was replaced by somebody else meanwhile.',
        'Look at what it is now, and replace it again if you still mean to.',
    ],
    'stock.not_ready' => ['“{name}” is still being looked at, or cannot be used.', 'Wait until its picture is shown.'],
    'stock.other_kind' => [
        '“{name}” is not a {kind}, and what it is to replace is shown as one.',
        'Choose a {kind}, or put the new file into each zone by itself.',
    ],
    'stock.no_version' => ['“{name}” was never that file.', 'Choose one of its earlier versions, or another file.'],
    'stock.not_converted' => [
        'The file could be read, but nothing that players show could be made of it.',
        'Export it as MP4 with H.264, or as PNG, and add the new file.',
    ],
    'stock.given_up' => [
        'The file could not be looked at, although it was tried {attempts} times.',
        'Add it again; if this stays so, tell the administrator.',
    ],
    'stock.earlier' => ['{said}', 'Add the file again to have it looked at anew.'],
    'job.kind_unknown' => [
        'No one here knows how to do “{kind}”.',
        'Start a worker of the version that made this job.',
    ],
    'job.worker_lost' => ['Whoever did this was lost {attempts} times.', 'Look into the log of the workers.'],
    'job.fault' => ['{what}', 'Look into the log of the workers.'],
    'stock.side_too_long' => [
        '{width} × {height} px is beyond the {most} px that players can draw.',
        'Scale it down so that no side is longer than {most} px.',
    ],
    'stock.too_many_px' => [
        '{width} × {height} px are more than the {most} million px that players can draw.',
        'Scale it down; a wall of four UHD displays has 33 million.',
    ],
    'stock.not_drawn' => [
        'It could not be drawn within {seconds} s and 2 GB of memory: it is damaged, or made of too much.',
        'Open it in the program that it comes from, simplify it, or export it as PNG.',
    ],
    'stock.in_use' => ['“{name}” is used in: {designs}.', 'Replace it there first.'],
    'release.revision' => ['The design has moved on to revision {revision}.', 'Look at it again, then release.'],
    'release.stopped' => ['Findings that stop this release: {count}.', 'Mend them; each finding leads to its place.'],
    'release.no_surface' => [
        'The design is meant for no surface yet.',
        'Choose the surfaces it is released for.',
    ],
    'surface.unknown' => ['No surface of this site has the code “{code}”.', 'Choose one of the list.'],
    'hand_off.changed' => ['{who} has handed off {what} meanwhile.', 'Look again at what the surface should show.'],
    'hand_off.other_surface' => ['The release is not for {surface}.', 'Choose one that is, or release the design for it.'],
    'inputs.face_gone' => [
        'The face {family} {weight} has other bytes now than when the release was made.',
        'Make a new release of the design.',
    ],
    'publish.unwritten' => [
        'The files for this player could not be written; {free} MB are free on the disk.',
        'It is tried again every minute; make room, and it goes on by itself.',
    ],
    'publish.broken' => [
        'The stored release is not what was sealed.',
        'Restore the database from a backup, or release the design again.',
    ],
    'publish.medium_gone' => [
        'A picture or video of this release is not in the storage.',
        'Put the storage back, or hand another release off; it is tried again every minute.',
    ],
    'request.id_taken' => [
        'The id {id} was used for something else.',
        'Make a new one for every new request.',
    ],
    'request.raced' => ['The same was asked twice at once.', 'Look at what is there now, then ask again if need be.'],
    'pairing.too_many' => [
        'Too many pages wait to become this player.',
        'Close those that are not needed; this page asks again by itself.',
    ],
    'pairing.form' => ['“{typed}” is no pairing code.', 'Type the six letters and digits that the screen shows.'],
    'pairing.unknown' => [
        'No screen that asks to be {player} shows {typed}.',
        'Read the code on the screen again; it changes every ten minutes.',
    ],
    'act.nobody' => ['There is no player that would show it.', 'Add a player to the surface, or aim at another one.'],
    'act.target' => [
        'At this site there is no “{value}” to aim at.',
        'Name the site, one of its groups, surfaces or players; it may have been removed meanwhile.',
    ],
    'pairing.token_form' => ['A player’s token is 48 hexadecimal digits.', 'Load the player’s page again.'],
    'pairing.token' => ['The player’s token is not valid any more.', 'Pair the player again.'],
];
