<?php

declare(strict_types=1);

use UpperPane\App\Security\RightsListener;
use UpperPane\Core\Site\Role;

/*
 * Who may call which route at all; what they may do with which thing is asked again by every use case (UseCase/Gate).
 * Where a route takes a document, the desk of its kind decides, and nothing before shuts it. A route that is not here
 * is closed to all; a test walks route × role.
 */
$everyone = Role::cases();
$designing = [Role::Designer, Role::Administrator];
$adding = [Role::Designer, Role::Editor, Role::Administrator];
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
    'session_list' => $everyone,
    'session_end_other' => $everyone,
    'me' => RightsListener::PUBLIC,
    'elevation' => $everyone,
    'site_fonts' => $everyone,
    'site_when' => $everyone,
    'site_measures' => $designing,
    'surface_show' => $everyone,
    'surface_make' => $mounting,
    'surface_duplicate' => $mounting,
    'surface_effects' => $mounting,
    'surface_wire' => $mounting,
    'modes' => $everyone,
    'figures' => $mounting,
    'shape_resolve' => $mounting,
    'edid' => $mounting,
    'play_card' => RightsListener::PUBLIC,
    'play_qr' => RightsListener::PUBLIC,
    'document_show' => $everyone,
    'document_edit' => $everyone,
    'document_undo' => $everyone,
    'document_redo' => $everyone,
    'document_mend' => $everyone,
    'document_uses' => $everyone,
    'document_remove' => $everyone,
    'document_back' => $everyone,
    'documents_removed' => $everyone,
    'document_history' => $everyone,
    'document_since' => $everyone,
    'design_create' => $designing,
    'design_create_size' => $designing,
    'design_create_smil' => $designing,
    'playlist_create' => $designing,
    'playlists' => $everyone,
    'starter_save' => $designing,
    'styles' => $everyone,
    'style_create' => $designing,
    'style_tokens' => $everyone,
    'style_tokens_take' => $designing,
    'design_styled' => $everyone,
    'design_duplicate' => $designing,
    'designs' => $everyone,
    'design_plans' => $everyone,
    'design_plan' => $everyone,
    'release_plan' => $everyone,
    'design_moment' => $everyone,
    'design_sheet' => $everyone,
    'design_past' => $everyone,
    'design_restore' => $designing,
    'stock' => $everyone,
    'stock_uses' => $everyone,
    'stock_allowed' => $everyone,
    'stock_add' => $adding,
    'upload_begin' => $adding,
    'upload_look' => $adding,
    'upload_part' => $adding,
    'upload_done' => $adding,
    'upload_give_up' => $adding,
    'stock_remove' => $designing,
    'stock_back' => $designing,
    'stock_replace' => $designing,
    'stock_note' => $adding,
    'stock_file' => $everyone,
    'design_releases' => $everyone,
    'release_make' => $designing,
    'hand_off' => $everyone,
    'hand_off_give' => $handing,
    'player_pair' => $mounting,
    'player' => $everyone,
    'acts' => $everyone,
    'act_take' => $everyone,
    'act_clear' => $everyone,
];
