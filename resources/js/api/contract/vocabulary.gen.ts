// Written by bin/contract from the core. Not edited by hand.

/** The families of controls. */
export const families = [
  {"key":"clutch_lever","label":"Clutch lever"},
  {"key":"automatic_clutch","label":"Automatic clutch"},
  {"key":"hydraulic_clutch","label":"Hydraulic clutch"},
  {"key":"twist_grip","label":"Throttle grip"},
  {"key":"trigger_throttle","label":"Throttle trigger"},
  {"key":"pedal_throttle","label":"Throttle pedal"},
  {"key":"sliding_drive","label":"Sliding drive handle"},
  {"key":"engage_by_pull","label":"Drive clutch, engaged by its pull"},
  {"key":"release_by_pull","label":"Drive clutch, released by its pull"},
  {"key":"bail","label":"Operator-presence bail"},
  {"key":"speed_selector","label":"Speed selector"},
  {"key":"mode_cables","label":"Mode and park cables"},
  {"key":"hook_control","label":"Control on hook holes"},
  {"key":"brake_pull","label":"Brake pull"},
  {"key":"other_control","label":"Other control"},
] as const;

/** The kinds of adjuster, and whether each is measured by its thread, by its steps or not at all. */
export const adjusterKinds = [
  {"key":"barrel","label":"barrel adjuster","measured_by":"thread"},
  {"key":"in_line","label":"in-line adjuster","measured_by":"thread"},
  {"key":"bracket_nuts","label":"bracket nuts","measured_by":"thread"},
  {"key":"hollow_bolt","label":"hollow adjusting bolt","measured_by":"thread"},
  {"key":"cam_screw","label":"cam screw","measured_by":"steps"},
  {"key":"rung_clamp","label":"rung clamp","measured_by":"steps"},
  {"key":"slotted_bracket","label":"slotted bracket","measured_by":"steps"},
  {"key":"pinch_clamp","label":"pinch clamp","measured_by":"steps"},
  {"key":"hook_holes","label":"hook holes","measured_by":"steps"},
  {"key":"push_rod_a","label":"push-rod screw A","measured_by":"nothing"},
  {"key":"push_rod_b","label":"push-rod screw B","measured_by":"nothing"},
  {"key":"spline_arm","label":"arm on its spline","measured_by":"nothing"},
  {"key":"governor_nut","label":"governor nut","measured_by":"thread"},
  {"key":"self_adjuster","label":"sprung self-adjuster","measured_by":"nothing"},
  {"key":"none","label":"no adjuster","measured_by":"nothing"},
] as const;

/** Where play is read. */
export const readingPoints = [
  {"key":"lever_tip","label":"lever tip"},
  {"key":"perch_gap","label":"lever/perch gap"},
  {"key":"ferrule_gap","label":"ferrule gap"},
  {"key":"release_arm","label":"release arm"},
  {"key":"grip_flange","label":"grip flange"},
  {"key":"grip_backward","label":"grip flange, backward"},
  {"key":"carburettor_barrel","label":"carburettor barrel"},
  {"key":"handle_travel","label":"handle"},
] as const;

/** How the bars stand. */
export const barPoses = [
  {"key":"straight","label":"bars straight"},
  {"key":"left","label":"bars full left"},
  {"key":"right","label":"bars full right"},
] as const;

/** Where in its band a control is aimed at. */
export const aims = [
  {"key":"middle","label":"the middle"},
  {"key":"crisp","label":"the crisp side"},
  {"key":"loose","label":"the loose side"},
] as const;

/** How a machine stands. */
export const standings = [
  {"key":"on_ground","label":"on its wheels"},
  {"key":"on_stand","label":"on a stand"},
] as const;

/** What a cable ends in. */
export const cableEnds = [
  {"key":"barrel","label":"barrel"},
  {"key":"ball","label":"ball"},
  {"key":"z_bend","label":"Z-bend"},
  {"key":"eyelet","label":"eyelet"},
  {"key":"hook","label":"hook"},
  {"key":"threaded","label":"threaded end"},
  {"key":"bare","label":"bare wire, clamped"},
] as const;

/** What is read with. */
export const instruments = [
  {"key":"steel_rule","label":"steel rule"},
  {"key":"tape_marks","label":"tape marks"},
  {"key":"caliper","label":"caliper"},
  {"key":"feeler","label":"feeler gauge"},
  {"key":"coin","label":"coin"},
  {"key":"indicator","label":"indicator"},
  {"key":"force_gauge","label":"force gauge"},
] as const;

/** How a person may read lengths. */
export const lengthStyles = [
  {"key":"mm","label":"mm","marks":null},
  {"key":"in","label":"inches, decimal: 0.394 in","marks":null},
  {"key":"in8","label":"inches, eighths: 3/8 in","marks":8},
  {"key":"in16","label":"inches, sixteenths: 7/16 in","marks":16},
  {"key":"in32","label":"inches, thirty-seconds: 13/32 in","marks":32},
  {"key":"in64","label":"inches, sixty-fourths: 25/64 in","marks":64},
] as const;

/** How a person may read forces and torques. */
export const forceStyles = [
  {"key":"N","label":"N and N·m","force":"N","per_newton":1,"torque":"N·m","per_newton_metre":1},
  {"key":"lbf_ft","label":"lbf and lbf·ft","force":"lbf","per_newton":0.2248089430997105,"torque":"lbf·ft","per_newton_metre":0.7375621492772654},
  {"key":"lbf_in","label":"lbf and lbf·in","force":"lbf","per_newton":0.2248089430997105,"torque":"lbf·in","per_newton_metre":8.850745791327185},
] as const;

/** How a person may read speeds. */
export const speedStyles = [
  {"key":"km/h","label":"km/h","per_kmh":1},
  {"key":"mph","label":"mph","per_kmh":0.621371192237334},
] as const;

/** What may stand before decimals. */
export const decimalMarks = [
  {"key":"point","label":"1 234.5","sign":"."},
  {"key":"comma","label":"1 234,5","sign":","},
] as const;

/** Minutes by which a device's clock may be off before its times are doubted. */
export const clockOffMinutes = 2;

/** What meters count. */
export const meters = [
  {"key":"km","label":"km"},
  {"key":"mi","label":"mi"},
  {"key":"h","label":"hours"},
  {"key":"uses","label":"uses"},
] as const;
