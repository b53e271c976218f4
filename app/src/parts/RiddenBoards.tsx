import { Button, Form, Input, InputNumber } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import { useShed } from '../store/shed.ts';
import { useLengthStyle } from './Measure.tsx';
import { boardLengthFault } from './riderValues.ts';

/** The boards a rider has, in their own words: part of the rider's card. */
export function RiddenBoards() {
  const length = useLengthStyle();
  const mass = useShed((shed) => shed.settings.massUnit);
  const checkLength = (_: unknown, text: string | undefined) => {
    const fault = boardLengthFault(text, { mass, length });
    return fault === undefined ? Promise.resolve() : Promise.reject(new Error(fault));
  };
  return (
    <Form.List name="boards">
      {(fields, { add, remove }) => (
        <>
          {fields.map(({ key, name }) => (
            <div key={key} className="ridden">
              <Form.Item name={[name, 'name']} className="below-4 grow-more">
                <Input aria-label={`Board ${name + 1}`} placeholder="A board they ride" maxLength={80} />
              </Form.Item>
              <Form.Item name={[name, 'length']} rules={[{ validator: checkLength }]} className="below-4 grow">
                <Input aria-label={`Length of board ${name + 1}`} placeholder="length" autoComplete="off" />
              </Form.Item>
              <Form.Item name={[name, 'litres']} className="below-4 grow">
                <InputNumber
                  aria-label={`Litres of board ${name + 1}`}
                  placeholder="litres"
                  min={10}
                  max={200}
                  className="fit-all"
                />
              </Form.Item>
              <Button
                type="text"
                aria-label={`Leave out board ${name + 1}`}
                icon={<CloseOutlined aria-hidden />}
                onClick={() => remove(name)}
              />
              <span className="break" />
              <Form.Item name={[name, 'good']} className="below-4 half">
                <Input aria-label={`Good about board ${name + 1}`} placeholder="good" maxLength={500} />
              </Form.Item>
              <Form.Item name={[name, 'bad']} className="below-4 half">
                <Input aria-label={`Bad about board ${name + 1}`} placeholder="not so good" maxLength={500} />
              </Form.Item>
            </div>
          ))}
          {fields.length < 6 && (
            <Button size="small" onClick={() => add({})} className="below-8">
              {fields.length === 0 ? 'Add a board they ride' : 'Add another'}
            </Button>
          )}
        </>
      )}
    </Form.List>
  );
}
