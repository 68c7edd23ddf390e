/**
 * Strongly connected components of a directed graph (Tarjan 1972, without recursion). Returns the component
 * number of every node, numbered in order of first appearance.
 */
export function strongComponents(nodes: number, edges: readonly (readonly [number, number])[]): number[] {
  const forward: number[][] = Array.from({ length: nodes }, () => []);
  for (const [from, to] of edges) (forward[from] as number[]).push(to);
  const order = new Int32Array(nodes).fill(-1);
  const lowest = new Int32Array(nodes);
  const component = new Int32Array(nodes).fill(-1);
  const open: number[] = [];
  let [clock, count] = [0, 0];

  for (let root = 0; root < nodes; root++) {
    if (order[root] !== -1) continue;
    const work: { node: number; next: number }[] = [{ node: root, next: 0 }];
    while (work.length > 0) {
      const frame = work[work.length - 1] as { node: number; next: number };
      const { node } = frame;
      if (frame.next === 0) {
        order[node] = lowest[node] = clock++;
        open.push(node);
      }
      const to = (forward[node] as number[])[frame.next++];
      if (to !== undefined) {
        if (order[to] === -1) work.push({ node: to, next: 0 });
        else if (component[to] === -1) lowest[node] = Math.min(lowest[node] as number, order[to] as number);
        continue;
      }
      work.pop();
      const parent = work[work.length - 1];
      if (parent) lowest[parent.node] = Math.min(lowest[parent.node] as number, lowest[node] as number);
      if (lowest[node] === order[node]) {
        let member: number;
        do {
          member = open.pop() as number;
          component[member] = count;
        } while (member !== node);
        count++;
      }
    }
  }
  const renumbered = new Map<number, number>();
  return Array.from(component, (c) => {
    if (!renumbered.has(c)) renumbered.set(c, renumbered.size);
    return renumbered.get(c) as number;
  });
}
