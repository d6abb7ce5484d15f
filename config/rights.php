<?php

declare(strict_types=1);

use UpperPane\App\Security\RightsListener;
use UpperPane\App\Security\Role;

/*
 * Who may call which route. A route that is not here is closed to all; a test walks route × role.
 */
$everyone = Role::cases();
$designing = [Role::Designer, Role::Administrator];
$handing = [Role::Designer, Role::Operator, Role::Administrator];
$mounting = [Role::Technician, Role::Designer, Role::Administrator];

return [
    'shell' => RightsListener::PUBLIC,
    'play_shell' => RightsListener::PUBLIC,
    'play_worker' => RightsListener::PUBLIC,
    'openapi' => RightsListener::PUBLIC,
    'time' => RightsListener::PUBLIC,
    'play_pair' => RightsListener::PLAYER,
    'play_proof' => RightsListener::PLAYER,
    'session_start' => RightsListener::PUBLIC,
    'session_end' => $everyone,
    'me' => RightsListener::PUBLIC,
    'elevation' => $everyone,
    'surface_show' => $everyone,
    'surface_make' => $mounting,
    'surface_duplicate' => $mounting,
    'surface_change' => $mounting,
    'surface_undo' => $mounting,
    'surface_redo' => $mounting,
    'surface_effects' => $mounting,
    'surface_wire' => $mounting,
    'player_add' => $mounting,
    'player_outputs' => $mounting,
    'modes' => $everyone,
    'figures' => $mounting,
    'shape_resolve' => $mounting,
    'edid' => $mounting,
    'play_card' => RightsListener::PUBLIC,
    'design_create' => $designing,
    'design_show' => $everyone,
    'design_plans' => $everyone,
    'design_plan' => $everyone,
    'design_moment' => $everyone,
    'design_history' => $everyone,
    'design_edit' => $designing,
    'design_undo' => $designing,
    'design_redo' => $designing,
    'fonts' => $everyone,
    'stock' => $everyone,
    'stock_add' => [Role::Designer, Role::Editor, Role::Administrator],
    'stock_remove' => $designing,
    'stock_file' => $everyone,
    'design_releases' => $everyone,
    'release_make' => $designing,
    'hand_off' => $everyone,
    'hand_off_give' => $handing,
    'pairing_open' => $mounting,
];
