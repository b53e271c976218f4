import { Button, Form, Input, InputNumber, Select } from 'antd';
import { ABILITIES, formatLength, formatMass, parseLength, parseMass, type Rider, riderSchema } from '@june-tide/core';
import { useShed } from '../store/shed.ts';
import { bareUnitOf } from './LengthField.tsx';
import { useLengthStyle } from './Measure.tsx';
import { ABILITY_WORDS, optionsOf, STANCE_WORDS, WAVE_POWER_WORDS, WAVE_SIZE_WORDS } from './words.ts';

interface RiderValues {
  name: string;
  mass: string;
  height: string;
  age: number;
  ability: Rider['ability'];
  surfsAWeek: number;
  stance: Rider['stance'];
  size: Rider['waves']['size'];
  power: Rider['waves']['power'];
}

interface RiderFormProps {
  rider?: Rider;
  onKeep: (rider: Rider) => void;
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
        size: rider.waves.size,
        power: rider.waves.power,
      }
    : { ability: 'intermediate', surfsAWeek: 2, stance: 'unknown', size: 'waistToHead', power: 'medium', age: 30 };

  const keep = (values: RiderValues) => {
    const mass = readMass(values.mass);
    const height = readHeight(values.height);
    if (!mass.ok || !height.ok) return;
    const untouched = rider && values.mass === initial.mass;
    const sameHeight = rider && values.height === initial.height;
    const parsed = riderSchema.safeParse({
      id: rider?.id ?? crypto.randomUUID(),
      name: values.name,
      mass_kg: untouched ? rider.mass_kg : mass.value,
      height_mm: sameHeight ? rider.height_mm : height.value,
      age: values.age,
      ability: values.ability,
      surfsAWeek: values.surfsAWeek,
      stance: values.stance,
      waves: { size: values.size, power: values.power },
    });
    if (parsed.success) onKeep(parsed.data);
    else form.setFields([{ name: 'mass', errors: ['These numbers do not fit a rider; check weight and age.'] }]);
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
        <Form.Item name="size" label="Usual waves" style={{ marginBottom: 8 }}>
          <Select options={optionsOf(WAVE_SIZE_WORDS)} />
        </Form.Item>
        <Form.Item name="power" label="Their power" style={{ marginBottom: 8 }}>
          <Select options={optionsOf(WAVE_POWER_WORDS)} />
        </Form.Item>
      </div>
      <div style={{ display: 'flex', gap: 8 }}>
        <Button type="primary" htmlType="submit">
          Keep rider
        </Button>
        {onCancel && <Button onClick={onCancel}>Cancel</Button>}
      </div>
    </Form>
  );
}
