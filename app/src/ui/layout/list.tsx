import { Children, isValidElement, type ReactElement, type ReactNode, type Ref } from 'react';
import { ScrollView, View, type ScrollViewProps, type StyleProp, type ViewProps, type ViewStyle } from 'react-native';

interface Props {
  /** What it lists, for who does not see its heading. */
  readonly label: string;
  readonly style?: StyleProp<ViewStyle>;
  readonly children: ReactNode;
}

/** A list, each of the children one of its items, so that a screen reader says how long it is and leads from one to the next. */
export function List({ label, style, children }: Props): ReactElement | null {
  const items = Children.toArray(children);
  if (items.length === 0) return null;
  return (
    <View role="list" aria-label={label} style={style}>
      {items.map((item, index) => (
        <Item key={isValidElement(item) ? item.key : index}>{item}</Item>
      ))}
    </View>
  );
}

/** One of a list. */
export function Item(props: ViewProps): ReactElement {
  return <View role="listitem" {...props} />;
}

/** The children of a long list as React Native draws them: what stands above, the rows that are in sight, and what stands below. */
function partsOf(children: ReactNode): { above: ReactNode[]; rows: ReactNode[]; below: ReactNode[] } {
  const parts = { above: [] as ReactNode[], rows: [] as ReactNode[], below: [] as ReactNode[] };
  for (const child of Array.isArray(children) ? (children as ReactNode[]) : [children]) {
    const key = isValidElement(child) ? child.key : null;
    (key === '$header' ? parts.above : key === '$footer' || key === '$empty' ? parts.below : parts.rows).push(child);
  }
  return parts;
}

interface RowsScrollProps extends ScrollViewProps {
  readonly ref?: Ref<ScrollView>;
  /** What the rows are to a screen reader. */
  readonly rowsAre: ViewProps;
  /** Belongs to the rows and stands above them, as the heads of a table do. */
  readonly heads?: ReactNode;
}

/** What scrolls in a long list: only its rows are the list, not what stands above and below them. */
export function RowsScroll({ children, ref, rowsAre, heads, ...rest }: RowsScrollProps): ReactElement {
  const { above, rows, below } = partsOf(children);
  return (
    <ScrollView {...rest} {...(ref === undefined ? {} : { ref })}>
      {above}
      {rows.length === 0 && heads === undefined ? null : (
        <View {...rowsAre}>
          {heads}
          {rows}
        </View>
      )}
      {below}
    </ScrollView>
  );
}

/**
 * Makes a `FlatList` or `SectionList` one to a screen reader too: its rows are the items, what stands above and below is not.
 *
 * @example const asJobs = asList('Jobs'); // once, beside the component
 *   <FlatList {...asJobs} data={…} />
 */
export function asList(label: string): {
  CellRendererComponent: typeof Item;
  renderScrollComponent: (props: ScrollViewProps) => ReactElement<ScrollViewProps>;
} {
  const rowsAre: ViewProps = { role: 'list', 'aria-label': label };
  return { CellRendererComponent: Item, renderScrollComponent: (props) => <RowsScroll {...props} rowsAre={rowsAre} /> };
}
