import { parseArgs } from 'node:util';
import { blend, exaggerate, exportTo, importFrom, join, newBoard, scale, setPaths, solve } from './commands/change.ts';
import { deck, marks, part, tips } from './commands/parts.ts';
import { compare, listModels, measureBoard, stations, validate } from './commands/look.ts';
import { Told } from './files.ts';
import { type Command, type Console, options } from './options.ts';

const HELP = `June Tide at the command line

  jt models [--json]                          the starting models
  jt new --model NAME --out FILE              a board from a model
  jt measure FILE [--json]                    its numbers; as JSON every measure there is
  jt stations FILE [--at "tail 12, nose 6"] [--json|--csv]
                                              widths, thicknesses, lifts, apex, bottom at stations
  jt validate FILE [--json]                   what a batten or the foam would refuse
  jt set FILE path=value ... [--out FILE]     change numbers: length=6'2 width="19 7/8" outline.tail.block_mm=150
  jt scale FILE --litres 32 [--hold length,width,thickness,outline] [--out FILE]
  jt scale FILE --length 6'6 [--rocker 1] [--out FILE]
                                              another length of the same model; with --rocker a plain stretch, its
                                              lifts grown with that power of the length
  jt solve FILE measure=value --by PATH [--out FILE]
                                              move one lever until a measure has the value
  jt compare FILE FILE [--json]               every number of two boards and the levers that differ
  jt join FRONT BACK --out FILE               front half of one outline on the back half of another
  jt part FILE PART FROM [--out FILE]         outline, front, back, rocker, foil, deck, rails, bottom or fins of another
  jt deck FILE [--json]                       the crown, what is worked into the deck and its litres
  jt deck FILE add flat|dome|sDeck|beak|step | set N key=value ... | off N | --factor 0.9  [--out FILE]
  jt tips FILE [nose=1/4] [pin=3/8]           plan radius of tips that close in a point
  jt marks FILE [--gain] [--json]             marks, hard or soft, and how far each moves its line
  jt marks FILE --hard outline.3 | --soft outline.3  [--out FILE]
  jt blend FILE FILE [--share 0.5] --out FILE
  jt exaggerate BASE OTHER [--factor 2] --out FILE
                                              the difference of two boards, times a factor
  jt import TABLE.csv --out FILE              a board from a station table, somebody's or our own
  jt export FILE --to pdf|svg|dxf|json|csv|stl|3mf|obj|ply|step --out FILE
            [--paper A4|Letter|A3|Tabloid|roll] [--roll 36] [--chord 0.2mm]
            [--drawing half|outline|rocker|sections|fins|sticks|railGauges|bands|bottomGauges]

Without --out a change is made in FILE itself.
Lengths as people write them: 5'11, 19 7/8, 2.375, 505mm. A bare number is in inches; for a path that ends in _mm, in mm.`;

const COMMANDS: Readonly<Record<string, Command>> = {
  models: listModels,
  new: newBoard,
  measure: measureBoard,
  stations,
  validate,
  set: setPaths,
  scale,
  solve,
  compare,
  join,
  part,
  deck,
  tips,
  marks,
  blend,
  exaggerate,
  export: exportTo,
  import: importFrom,
};

/** Runs one command. Returns the exit code: 0, or 1 with plain words on `err` and nothing written. */
export async function run(args: string[], console: Console): Promise<number> {
  try {
    const { values, positionals } = parseArgs({ args, options, allowPositionals: true, strict: true });
    const [name, ...rest] = positionals;
    if (values.help || name === undefined || name === 'help') {
      console.out(HELP);
      return 0;
    }
    if (!Object.hasOwn(COMMANDS, name)) throw new Told(`“${name}” is not a command. jt help lists them.`);
    await COMMANDS[name](rest, values, console);
    return 0;
  } catch (error) {
    if (error instanceof Told || (error instanceof TypeError && 'code' in error)) {
      console.err(error.message);
      return 1;
    }
    console.err(
      `jt met something it did not expect; no file was changed. ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`,
    );
    return 1;
  }
}
