import { Button } from 'antd';
import { MoreOutlined } from '@ant-design/icons';
import type { ComponentProps } from 'react';

/** Opens what can be done with a board of the rack. */
export function MoreButton({ called, ...rest }: { called: string } & ComponentProps<typeof Button>) {
  return (
    <Button
      {...rest}
      type="text"
      size="small"
      aria-haspopup="menu"
      aria-label={`More for ${called}`}
      icon={<MoreOutlined aria-hidden />}
    />
  );
}
