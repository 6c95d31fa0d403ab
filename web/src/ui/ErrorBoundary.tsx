import { Component, type ReactNode } from "react";
import { Trouble } from "./pieces";

/** Keeps a fault of one station from taking the rest of the page with it. */
export class ErrorBoundary extends Component<{ children: ReactNode; of: string }, { failed: string | null }> {
  override state = { failed: null };

  static getDerivedStateFromError(error: Error) {
    return { failed: error.message };
  }

  override render() {
    return this.state.failed === null ? (
      this.props.children
    ) : (
      <Trouble what={`${this.props.of} cannot be shown.`} why={this.state.failed} again={() => this.setState({ failed: null })} />
    );
  }
}
