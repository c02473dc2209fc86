import { Component, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Unshown } from './Lost';

/** Screens, of which one that fails says so; the next address is tried again. */
export const Guarded = ({ children }: { readonly children: ReactNode }) => (
  <Guard at={useLocation().key}>{children}</Guard>
);

interface Props {
  readonly at: string;
  readonly children: ReactNode;
}

class Guard extends Component<Props, { readonly failed: boolean }> {
  override readonly state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override componentDidUpdate(before: Props) {
    if (this.state.failed && before.at !== this.props.at) this.setState({ failed: false });
  }

  override render() {
    return this.state.failed ? <Unshown /> : this.props.children;
  }
}
