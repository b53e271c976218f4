import { Button, Result } from 'antd';
import { Component, type ReactNode } from 'react';

/** When a screen fails to draw: what happened, that the boards are safe, and the ways on. */
export class Mishap extends Component<{ children: ReactNode }, { said: string | undefined }> {
  override state: { said: string | undefined } = { said: undefined };

  static getDerivedStateFromError(error: unknown): { said: string } {
    return { said: error instanceof Error ? error.message : String(error) };
  }

  override render(): ReactNode {
    const { said } = this.state;
    if (said === undefined) return this.props.children;
    return (
      <Result
        status="warning"
        title="This screen could not be drawn"
        subTitle={`It said: ${said}. Boards, riders and prices are kept as they were when you last saw “Saved”.`}
        extra={[
          <Button key="rack" type="primary" href="/">
            Back to the rack
          </Button>,
          <Button key="again" onClick={() => window.location.reload()}>
            Try again
          </Button>,
        ]}
      />
    );
  }
}
