<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

/** What an item of a stage is about. */
enum ItemTopic: string
{
    /** A line to confirm or a part to look over. */
    case Step = 'step';
    case Condition = 'condition';
    case Thread = 'thread';
    case Reading = 'reading';
    case Pose = 'pose';
    case InBand = 'in_band';
    case Home = 'home';
    case Lock = 'lock';
    case Guide = 'guide';
    case Cover = 'cover';
    case Doubt = 'doubt';
    /** A proof tried as the control was found. */
    case Found = 'found';
    case Check = 'check';
    /** What a control does at one of its settings. */
    case Outcome = 'outcome';
    /** Which way the arm went with a move. */
    case Arm = 'arm_went';
    /** Which way the arm goes with nothing loosened. */
    case Look = 'arm_goes';
    case Measure = 'measure';
    case Fault = 'fault';
    case PutRight = 'put_right';
    case Replace = 'replace';
    case SignOff = 'sign_off';
}
