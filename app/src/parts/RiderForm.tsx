import { Button, Form, Input, InputNumber, Select } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import { isWithin, LENGTH_mm } from '@june-tide/core/document';
import { ABILITIES, type Rider, riderSchema, stanceFrom, type Waves, withWeight } from '@june-tide/core/rider';
import { formatLength, formatMass, parseLength, parseMass } from '@june-tide/core/units';
import { type EditResult, useShed } from '../store/shed.ts';
import { today } from '../store/today.ts';
import { bareUnitOf } from './LengthField.tsx';
import { useLengthStyle } from './Measure.tsx';
import { ABILITY_WORDS, FITNESS_WORDS, optionsOf, STANCE_WORDS } from './words.ts';
import { WavesItems } from './WavesItems.tsx';

interface RiderValues {
  name: string;
  mass: string;
  height: string;
  age: number;
  ability: Rider['ability'];
  surfsAWeek: number;
  stance: Rider['stance'];
  fitness: Rider['fitness'];
  turnsBegin?: 'front' | 'both' | 'back';
  dents?: 'front' | 'even' | 'back';
  waves: Waves;
  boards: { name?: string; length?: string; litres?: number | null; good?: string; bad?: string }[];
}

interface RiderFormProps {
  rider?: Rider;
  /** Keeps it, or says why it cannot be kept. */
  onKeep: (rider: Rider) => EditResult;
  onCancel?: () => void;
}

/** A rider's card. Weight and height are typed as people write them. */
export function RiderForm({ rider, onKeep, onCancel }: RiderFormProps) {
  const [form] = Form.useForm<RiderValues>();
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const style = useLengthStyle();
  const readMass = (text: string) => parseMass(text, massUnit);
  const readHeight = (text: string) => {
    const parsed = parseLength(text, bareUnitOf(style));
    return parsed.ok && !(parsed.value >= 900 && parsed.value <= 2500)
      ? { ok: false as const, code: 'height', reason: "A height such as 5'10 or 178 cm." }
      : parsed;
  };
  /** Nothing typed is no length, and no fault. */
  const readBoardLength = (text: string | undefined) =>
    text === undefined || text.trim() === '' ? undefined : parseLength(text, bareUnitOf(style));
  const boardLength = {
    validator: (_: unknown, text: string | undefined) => {
      const parsed = readBoardLength(text);
      if (!parsed || (parsed.ok && isWithin(LENGTH_mm, parsed.value))) return Promise.resolve();
      return Promise.reject(new Error(parsed.ok ? "A length such as 6'2 or 188 cm." : parsed.reason));
    },
  };
  const readable = (read: (text: string) => { ok: true } | { ok: false; reason: string }) => ({
    validator: (_: unknown, text: string | undefined) => {
      const parsed = read(text ?? '');
      return parsed.ok ? Promise.resolve() : Promise.reject(new Error(parsed.reason));
    },
  });
  const initial: Partial<RiderValues> = rider
    ? {
        name: rider.name,
        mass: formatMass(rider.mass_kg, massUnit),
        height: formatLength(rider.height_mm, style, { feet: true }),
        age: rider.age,
        ability: rider.ability,
        surfsAWeek: rider.surfsAWeek,
        stance: rider.stance,
        fitness: rider.fitness,
        waves: rider.waves,
        boards: rider.boards.map(({ name, length_mm, litres_L, good, bad }) => ({
          name,
          length: length_mm === undefined ? '' : formatLength(length_mm, style, { feet: true }),
          litres: litres_L ?? null,
          good,
          bad,
        })),
      }
    : {
        ability: 'intermediate',
        surfsAWeek: 2,
        stance: 'unknown',
        fitness: 'usual',
        waves: { size: 'waistToHead', power: 'medium', steepness: 'medium', chop: 'some', rubber: 'thin' },
        boards: [],
        age: 30,
      };

  const keep = (values: RiderValues) => {
    const mass = readMass(values.mass);
    const height = readHeight(values.height);
    if (!mass.ok || !height.ok) return;
    const untouched = rider && values.mass === initial.mass;
    const sameHeight = rider && values.height === initial.height;
    const { turnsBegin, dents } = values;
    const stance = values.stance === 'unknown' && turnsBegin && dents ? stanceFrom(turnsBegin, dents) : values.stance;
    const mass_kg = untouched ? rider.mass_kg : mass.value;
    const parsed = riderSchema.safeParse({
      id: rider?.id ?? crypto.randomUUID(),
      name: values.name,
      mass_kg,
      weights: rider?.weights ?? [],
      height_mm: sameHeight ? rider.height_mm : height.value,
      age: values.age,
      ability: values.ability,
      surfsAWeek: values.surfsAWeek,
      fitness: values.fitness,
      stance,
      waves: values.waves,
      boards: (values.boards ?? []).flatMap(({ name = '', length, litres, good = '', bad = '' }, i) => {
        if (name.trim() === '') return [];
        const read = readBoardLength(length);
        const before = rider?.boards.find((board) => board.name === name);
        const untouchedLength = before && length === initial.boards?.[i]?.length && before.length_mm !== undefined;
        const length_mm = untouchedLength ? before.length_mm : read?.ok ? read.value : undefined;
        return [
          {
            name,
            good,
            bad,
            ...(length_mm === undefined ? {} : { length_mm }),
            ...(typeof litres === 'number' ? { litres_L: litres } : {}),
          },
        ];
      }),
    });
    if (parsed.success) {
      const kept = onKeep(untouched ? parsed.data : withWeight(parsed.data, today(), mass_kg));
      if (!kept.ok) form.setFields([{ name: 'mass', errors: kept.issues.map(({ words }) => words) }]);
    } else form.setFields([{ name: 'mass', errors: ['These numbers do not fit a rider; check weight and age.'] }]);
  };

  return (
    <Form form={form} layout="vertical" initialValues={initial} onFinish={keep} requiredMark={false} size="middle">
      <div className="grid-2">
        <Form.Item
          name="name"
          label="First name"
          rules={[{ required: true, whitespace: true, message: 'Who is it for?' }]}
          style={{ marginBottom: 8 }}
        >
          <Input maxLength={60} autoComplete="off" />
        </Form.Item>
        <Form.Item name="mass" label="Weight" rules={[readable(readMass)]} style={{ marginBottom: 8 }}>
          <Input placeholder={massUnit === 'kg' ? '76 kg' : '168 lb'} autoComplete="off" />
        </Form.Item>
        <Form.Item name="height" label="Height" rules={[readable(readHeight)]} style={{ marginBottom: 8 }}>
          <Input placeholder="5'10" autoComplete="off" />
        </Form.Item>
        <Form.Item name="age" label="Age" rules={[{ required: true, message: 'How old?' }]} style={{ marginBottom: 8 }}>
          <InputNumber min={4} max={110} precision={0} style={{ width: '100%' }} />
        </Form.Item>
      </div>
      <Form.Item name="ability" label="What they do on a wave" style={{ marginBottom: 8 }}>
        <Select options={ABILITIES.map((value) => ({ value, label: ABILITY_WORDS[value] }))} />
      </Form.Item>
      <div className="grid-2">
        <Form.Item
          name="surfsAWeek"
          label="Surfs a week"
          rules={[{ required: true, message: 'How often?' }]}
          style={{ marginBottom: 8 }}
        >
          <InputNumber min={0} max={21} step={0.5} style={{ width: '100%' }} />
        </Form.Item>
        <Form.Item name="stance" label="Stance" style={{ marginBottom: 8 }}>
          <Select options={optionsOf(STANCE_WORDS)} />
        </Form.Item>
        <Form.Item name="fitness" label="Fitness" style={{ marginBottom: 8 }}>
          <Select options={optionsOf(FITNESS_WORDS)} />
        </Form.Item>
        <Form.Item noStyle shouldUpdate={(before: RiderValues, now: RiderValues) => before.stance !== now.stance}>
          {({ getFieldValue }) =>
            getFieldValue('stance') === 'unknown' && (
              <>
                <Form.Item name="turnsBegin" label="A turn begins on" style={{ marginBottom: 8 }}>
                  <Select
                    allowClear
                    options={[
                      { value: 'front', label: 'the front foot' },
                      { value: 'both', label: 'both' },
                      { value: 'back', label: 'the back foot' },
                    ]}
                  />
                </Form.Item>
                <Form.Item name="dents" label="Old decks are dented" style={{ marginBottom: 8 }}>
                  <Select
                    allowClear
                    options={[
                      { value: 'front', label: 'under the front foot' },
                      { value: 'even', label: 'evenly' },
                      { value: 'back', label: 'under the back foot' },
                    ]}
                  />
                </Form.Item>
              </>
            )
          }
        </Form.Item>
      </div>
      <div className="grid-2">
        <WavesItems prefix="waves" />
      </div>
      <Form.List name="boards">
        {(fields, { add, remove }) => (
          <>
            {fields.map(({ key, name }) => (
              <div key={key} className="ridden">
                <Form.Item name={[name, 'name']} style={{ marginBottom: 4, flex: 2 }}>
                  <Input aria-label={`Board ${name + 1}`} placeholder="A board they ride" maxLength={80} />
                </Form.Item>
                <Form.Item name={[name, 'length']} rules={[boardLength]} style={{ marginBottom: 4, flex: 1 }}>
                  <Input aria-label={`Length of board ${name + 1}`} placeholder="length" autoComplete="off" />
                </Form.Item>
                <Form.Item name={[name, 'litres']} style={{ marginBottom: 4, flex: 1 }}>
                  <InputNumber
                    aria-label={`Litres of board ${name + 1}`}
                    placeholder="litres"
                    min={10}
                    max={200}
                    style={{ width: '100%' }}
                  />
                </Form.Item>
                <Button
                  type="text"
                  aria-label={`Leave out board ${name + 1}`}
                  icon={<CloseOutlined aria-hidden />}
                  onClick={() => remove(name)}
                />
                <span className="break" />
                <Form.Item name={[name, 'good']} style={{ marginBottom: 4, flex: '1 1 48%' }}>
                  <Input aria-label={`Good about board ${name + 1}`} placeholder="good" maxLength={500} />
                </Form.Item>
                <Form.Item name={[name, 'bad']} style={{ marginBottom: 4, flex: '1 1 48%' }}>
                  <Input aria-label={`Bad about board ${name + 1}`} placeholder="not so good" maxLength={500} />
                </Form.Item>
              </div>
            ))}
            {fields.length < 6 && (
              <Button size="small" onClick={() => add({})} style={{ marginBottom: 8 }}>
                {fields.length === 0 ? 'Add a board they ride' : 'Add another'}
              </Button>
            )}
          </>
        )}
      </Form.List>
      <div style={{ display: 'flex', gap: 8 }}>
        <Button type="primary" htmlType="submit">
          Keep rider
        </Button>
        {onCancel && <Button onClick={onCancel}>Cancel</Button>}
      </div>
    </Form>
  );
}
