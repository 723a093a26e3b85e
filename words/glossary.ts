const word = <const N extends string>(name: N, plain: string, ...also: string[]) => ({ word: name, also, plain });

/** The words of the trade that the application uses, by the alphabet, in plain English. */
export const GLOSSARY = [
  word(
    "Accumulator",
    "A small tank with air in it behind a pump. It gives the first third of a litre, so the pump does not start at every drop.",
  ),
  word(
    "Air gap",
    "Open air between the end of a pipe and the water below it. Nothing flows up through it: the only sure parting of two waters.",
    "break tank",
  ),
  word(
    "Barrier hose",
    "Hose with a layer in its wall that no smell comes through. For sewage; plain vinyl smells within a year.",
    "low permeation",
  ),
  word("Belly", "A place where a pipe sags between two clips. Water stands in it, smells, and freezes.", "sag"),
  word("Black water", "What comes from a toilet. It needs a tank of its own.", "sewage"),
  word("Bore", "The inside width of a pipe or hole. Water goes by this, and not by the outside.", "diameter"),
  word("Breakover angle", "The sharpest ridge the rig crosses without touching between its wheels."),
  word("Breather", "A pipe that lets air in and out of a tank as water comes and goes.", "vent"),
  word("Cleanout", "An opening with a lid through which a pipe is rodded clear."),
  word(
    "Discharge coefficient",
    "Share of an ideal outlet's flow that a real one passes: 0.6 for a sharp edge, 0.8 for a short tube.",
  ),
  word("Drain", "The pipe from a fixture to a tank, by its own weight downhill.", "waste pipe"),
  word(
    "Driving",
    "Braking and bends push water over the weir of a trap. What is left must still hold the gas.",
    "slopping",
  ),
  word("Dump", "To empty a waste tank where that is allowed."),
  word(
    "Dump line",
    "The pipe from a tank's outlet to the side or the rear, where the hose is put on. It must fall as the rig stands to dump.",
  ),
  word("Envelope", "How far out of level the rig is ever parked, forward, back and to both sides."),
  word(
    "Fall",
    "How far a drain goes down along its way. As a rate: 20 mm for each metre, or ¼ in a foot.",
    "gradient",
    "slope",
  ),
  word(
    "Fall in hand",
    "What is left of the fall after trap, floor and pipe have taken theirs. Below nothing the water stands.",
  ),
  word("Free surface", "Water that can run to the low side of a half-full tank. In a boat it takes stability."),
  word("Grey water", "From sinks, basins and showers: soap, grease, crumbs and germs."),
  word("Inlet", "Where a drain enters a tank."),
  word("Interlock", "Valves arranged so that no single mistake or fault joins two waters."),
  word("Invert", "The lowest point inside a pipe. All heights here are inverts unless something else is said."),
  word("Lagging", "Insulation round a tank or pipe."),
  word("Leg", "A straight piece of a drain between two bends."),
  word(
    "Membrane valve",
    "A rubber sleeve in place of a water trap. A hair keeps it open, and it holds back only what it is rated for.",
    "waterless trap",
  ),
  word(
    "Mixer",
    "Mixes hot and cold to one warmth and holds it, so that nobody is scalded. It is set by hand.",
    "mixing valve",
  ),
  word("Non-return valve", "Lets water through one way. Grit keeps it open: never the only protection.", "check valve"),
  word("P-trap", "The usual bend of water under a sink. It takes 150 to 200 mm, 6 to 8 in, of height.", "siphon"),
  word("Pitch", "Nose down or nose up."),
  word(
    "Pre-charge",
    "Air pressure in an accumulator while it is empty of water: 10 to 20 kPa, 1.5 to 3 psi, below the pump's cut-in.",
  ),
  word(
    "Relief valve",
    "Opens by itself before something bursts, and drips whenever the water in a heater grows. Nothing may shut it off.",
  ),
  word("Rim", "The edge over which a fixture runs over.", "flood rim"),
  word("Rivet nut", "A threaded sleeve set into sheet metal. The sheet round it gives before the bolt does."),
  word("Roll", "Left or right side low."),
  word("Running trap", "A low trap in the line itself. It saves height and serves everything before it."),
  word("S-trap", "A trap with a straight drop behind it. The falling water pulls the seal out."),
  word("Seacock", "The valve on a skin fitting. Handle along the pipe is open, across is shut."),
  word("Seal", "The depth of water in a trap that holds the gas back: 50 mm, 2 in, and more."),
  word("Secured valve", "A valve nobody turns by mistake: locked, tied, or its handle taken off.", "lock", "tie"),
  word("Self-cleansing", "Fast enough to carry crumbs and grease along: about 0.6 m/s."),
  word("Sender", "The part in a tank that tells the gauge how full it is."),
  word("Siphonage", "Water in a full pipe pulls the trap behind it empty."),
  word("Skin fitting", "A hole in a hull with a flanged tube through it.", "through-hull"),
  word("Standing", "How the rig stands: level, or so far nose down and to one side."),
  word("Tandem", "Two axles close together that share what they carry."),
  word(
    "Tee and wye",
    "Two ways to join pipes. A wye joins with the flow; a tee on the flat throws water back up the other pipe.",
  ),
  word("Trap", "A bend that keeps water in it, so that tank gas stays out of the living space."),
  word("Trap arm", "The pipe from a trap to its first air. Too long, and its own water sucks the trap dry."),
  word("Usable", "What a tank takes between what stays behind and where it is full, the way the rig stands."),
  word(
    "Vented loop",
    "The high bend of a hose on a boat, with an air hole on top, that keeps the sea from siphoning in.",
    "anti-siphon",
  ),
  word("Weir", "The edge inside a trap over which water leaves it."),
] as const;

/** A word of the trade: its name, what else it is called, and what it is. */
export type GlossaryWord = (typeof GLOSSARY)[number];
export type GlossaryName = GlossaryWord["word"];
