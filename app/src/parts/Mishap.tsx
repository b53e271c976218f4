import { Button } from 'antd';
import { Component, type ReactNode, useEffect, useRef } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { Instead } from './Instead.tsx';
import { noteMishap } from '../store/shed.ts';

interface MishapProps {
  children: ReactNode;
}

/** When a screen fails to draw, or a part of the app does not come: what happened, that the boards are safe, and the ways on. */
export class Mishap extends Component<MishapProps, { said: string | undefined }> {
  override state: { said: string | undefined } = { said: undefined };

  static getDerivedStateFromError(error: unknown): { said: string } {
    return { said: error instanceof Error ? error.message : String(error) };
  }

  override componentDidCatch(error: unknown): void {
    noteMishap(error);
  }

  private readonly goOn = () => this.setState({ said: undefined });

  override render(): ReactNode {
    const { said } = this.state;
    if (said === undefined) return this.props.children;
    return <Said said={said} on={this.goOn} />;
  }
}

/** A part of the app that was to be loaded did not come. */
const NOT_COME = /dynamically imported module|Importing a module script failed|Failed to fetch/i;

function Said({ said, on }: { said: string; on: () => void }) {
  const navigate = useNavigate();
  const { key } = useLocation();
  const failedAt = useRef(key);
  // Gone elsewhere, what is there is drawn.
  useEffect(() => {
    if (key !== failedAt.current) on();
  }, [key, on]);
  const why = NOT_COME.test(said)
    ? 'That part of the app is not in this browser yet, and the server does not answer.'
    : `It said: ${said}.`;
  return (
    <Instead
      title="This screen could not be drawn"
      why={`${why} Boards, riders and prices are kept as they were when you last saw “Saved”.`}
    >
      {/* Within the page: it must not be left while there is no server to bring it back. */}
      <Button type="primary" onClick={() => void navigate('/')}>
        Back to the rack
      </Button>
      <Button onClick={() => window.location.reload()}>Try again</Button>
    </Instead>
  );
}
