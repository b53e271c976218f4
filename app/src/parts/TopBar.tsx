import { Button, Popover } from 'antd';
import { SettingOutlined } from '@ant-design/icons';
import { lazy, type ReactNode, Suspense } from 'react';
import { Link, NavLink } from 'react-router';
import { useShed } from '../store/shed.ts';

/** Asked for now and then: it comes when it is opened. */
const ShopChoices = lazy(() => import('./ShopChoices.tsx'));

/** How saving stands, quietly unless it failed. */
function SaveMark() {
  const save = useShed((shed) => shed.save);
  if (save.kind === 'failed') {
    return (
      <span className="saved failed" role="alert">
        Not saved: {save.reason}. Your work is kept here and tried again. <Link to="/keeping">Back it up</Link>
      </span>
    );
  }
  return (
    <span className="saved" role="status">
      {save.kind === 'saving' ? 'Saving' : 'Saved'}
    </span>
  );
}

/** The bar over every screen: the brand leads home, the rest is the screen's own. */
export function TopBar({ title, children }: { title?: ReactNode; children?: ReactNode }) {
  return (
    <header className="bar">
      <Link to="/" className="brand">
        June Tide
      </Link>
      {title ?? (
        <nav aria-label="Screens">
          <NavLink to="/" end>
            Rack
          </NavLink>
          <NavLink to="/start" className="spare">
            Start a board
          </NavLink>
          <NavLink to="/riders">Riders</NavLink>
          <NavLink to="/family" className="spare">
            Family
          </NavLink>
          <NavLink to="/line">Line</NavLink>
          <NavLink to="/shelf">Shelf</NavLink>
          <NavLink to="/settings" className="spare">
            Settings
          </NavLink>
        </nav>
      )}
      <div className="push">
        {children}
        <SaveMark />
        <Popover
          content={
            <div className="fit-230 stack-12">
              <Suspense fallback={null}>
                <ShopChoices />
              </Suspense>
              <Link to="/settings">All settings</Link>
              <Link to="/keeping">Back-up</Link>
            </div>
          }
          trigger="click"
          placement="bottomRight"
        >
          <Button aria-label="Units and light" icon={<SettingOutlined aria-hidden />} />
        </Popover>
      </div>
    </header>
  );
}
