import { ArrangeTool } from './ArrangeTool';
import { NameTool } from './NameTool';
import { SwapTool } from './SwapTool';
import { ToneTool } from './ToneTool';
import type { ToolProps } from './tool';
import type { Tool } from './ToolMenu';

/** The tool that was chosen. */
export function Tools({ tool, ...props }: ToolProps & { tool: Tool }) {
  switch (tool) {
    case 'swap':
      return <SwapTool {...props} />;
    case 'tones':
      return <ToneTool {...props} />;
    case 'names':
      return <NameTool {...props} />;
    case 'arrange':
      return <ArrangeTool {...props} />;
    // They open places of their own.
    case 'bring':
    case 'propose':
    case 'directory':
      return null;
  }
}
