<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** What there is to do in a shop, as far as some may do it and others not. */
enum Permission: string
{
    case Look = 'look';
    /** Say that a control feels odd, read a meter. */
    case Report = 'report';
    case Log = 'log';
    case SignOff = 'sign_off';
    /** Enter a spec, or hold somebody else's against its document. */
    case EnterSpecs = 'enter_specs';
    case LiftTag = 'lift_tag';
    /** People, machines, the shelf, which spec is in force, imports. */
    case KeepShop = 'keep_shop';

    /** Who may, as a refusal says it. */
    public function whoMay(): string
    {
        return match ($this) {
            self::Look => 'everybody',
            self::Report, self::Log => 'an apprentice, a technician or a lead',
            self::SignOff, self::EnterSpecs => 'a technician or a lead',
            self::LiftTag, self::KeepShop => 'a lead',
        };
    }
}
