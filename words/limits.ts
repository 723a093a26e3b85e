import type { LimitId } from "@/core/rules/limitIds";

export const LIMIT_NAMES: Readonly<Record<LimitId, { readonly name: string; readonly plain: string }>> = {
  minFall: { name: "Least fall, standing level", plain: "How much a drain must go down for each metre it runs." },
  maxFall: { name: "Greatest fall", plain: "Steeper small branches run full and suck their own trap dry." },
  parkedFall: {
    name: "Least fall where parked",
    plain: "What must be left of the fall at every place the rig is parked at.",
  },
  layTolerance: {
    name: "What a hand is off by",
    plain: "With tape and level, over a metre and more; less in hand than this is not to be relied on.",
  },
  sealLeast: { name: "Least trap seal", plain: "Depth of water that holds the tank's gas back." },
  sealMost: { name: "Greatest trap seal", plain: "Deeper traps drain slowly and foul." },
  trapArm: { name: "Trap to air, at most", plain: "How far the trap may be from the next vent." },
  branchBends: {
    name: "Bends from trap to air, at most",
    plain: "Each one slows the water, and the pipe fills behind it.",
  },
  branchDrop: {
    name: "Drop from trap to air, at most",
    plain: "A long drop full of water sucks hard on the trap above it.",
  },
  branchUnits: {
    name: "Fixture units on a pipe, at most",
    plain: "What codes count the load of fixtures in: a basin 1, a sink or a shower 2, a flushed toilet 4.",
  },
  ventBehindTrap: {
    name: "Vent behind the trap, in bores",
    plain: "Closer to the trap, what splashes up fouls the vent until it is shut.",
  },
  drainFill: {
    name: "Fill of the drain, at most",
    plain: "Share of the pipe's depth that may be water, so that air still passes.",
  },
  cleanVelocity: {
    name: "Self-cleansing speed",
    plain: "Slower water leaves dirt behind. Advice only on a grey line.",
  },
  obstacleGap: { name: "Room to anything solid", plain: "So that nothing rubs while driving." },
  movingGap: { name: "Room to what moves", plain: "An axle at the end of its travel, a shaft that turns and whips." },
  exhaustBareGap: {
    name: "Room to a bare exhaust",
    plain: "Without a shield; a shield with an air gap saves most of it.",
  },
  exhaustGap: { name: "Room to the exhaust", plain: "With a metal shield between; heat softens plastic." },
  sillGap: { name: "Tank over the sill line", plain: "What hangs below the sills hits the ground first." },
  ventSuction: {
    name: "Suction while dumping, at most",
    plain: "What the breather may leave in the tank the moment the valve opens.",
  },
  ventEndGap: {
    name: "End of a breather to windows and intakes",
    plain: "Also to the exhaust, whose stream must not blow into it.",
  },
  nightAir: { name: "Air on a cold night", plain: "Against this the freezing of traps and pipes is worked out." },
  nightWind: {
    name: "Wind on that night",
    plain: "0 is still air. It takes the heat off pipes and walls faster: a breeze of 3 m/s more than doubles it.",
  },
  duskWater: { name: "Water at dusk", plain: "How warm traps and tanks are when the cold night begins." },
  iceShare: {
    name: "Ice that does harm",
    plain: "Share of the water that is ice when gauge, valve and ports are stuck.",
  },
  heldWater: { name: "Heater holds the water at", plain: "What the pad keeps the tank at all night." },
  waterFilm: {
    name: "Heat from water to wall",
    plain: "Film inside a lagged tank. Still water passes on about 100; more is on the safe side.",
  },
  foamConductivity: {
    name: "Conductivity of the foam",
    plain: "Off its data sheet: closed foam 0.034, wet foam several times that.",
  },
  airTemperature: { name: "Air in the breather", plain: "Colder air is heavier and harder to draw through a pipe." },
  altitude: {
    name: "Height over the sea",
    plain: "Thinner air passes a breather more easily: go by the lowest place.",
  },
  breakover: {
    name: "Breakover angle",
    plain: "The ridge between the axles that the rig still crosses without touching.",
  },
  rampEnd: { name: "Ramp angle at the ends", plain: "The ramp on which nothing behind or before the wheels touches." },
  memberGap: { name: "Hole to a frame or an edge", plain: "Wood or sheet that stays beside a hole, so that it holds." },
  holeClearance: { name: "Room round a pipe in the floor", plain: "To seal it, and so that it does not rub." },
  airGap: { name: "Air gap, at least", plain: "Twice the spout's bore where that is more, and more on a slope." },
  backHead: {
    name: "Head a membrane valve holds",
    plain: "Rated back pressure off its data sheet, as height of water over the outlet. 0 until you have read it.",
  },
  outletSlow: {
    name: "Discharge of an outlet, at least",
    plain: "Share of an ideal outlet's flow, where a large flow helps: how long a tank runs out.",
  },
  outletFast: {
    name: "Discharge of an outlet, at most",
    plain: "The same where a large flow hurts: what dumping sucks through the traps.",
  },
  holeSlant: {
    name: "Hole in the floor, length to width",
    plain: "A pipe that passes the floor flatter than this should turn down first.",
  },
  sealInUse: { name: "Seal that must survive use", plain: "What should be left in a trap after driving and dumping." },
  drivingPush: { name: "Push while driving", plain: "Braking and cornering, as a share of gravity." },
  evaporation: {
    name: "Trap dries out by, a week",
    plain: "How far the seal falls unused. In summer and dry air it is several times as much: see the sum for drying.",
  },
  tankColumn: {
    name: "Water standing over a tank, at most",
    plain: "Pressure on its top when it is filled until it runs out higher up. Its maker's figure goes first.",
  },
  tankUse: { name: "Least share of the tank in use", plain: "Below this the inlet or vent sits too low for the tank." },
};
