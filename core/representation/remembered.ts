/**
 * An `apply` that keeps what each state became by the move made on it last. An open stone is recognised together with all its moves at
 * every new one, so each of them would be made again every time; the same move on the same state is made once.
 */
export function remembered<State extends object, Move extends object>(
  apply: (state: State, move: Move) => State,
): (state: State, move: Move) => State {
  const last = new WeakMap<State, { readonly move: Move; readonly state: State }>()
  return (state, move) => {
    const known = last.get(state)
    if (known?.move === move) return known.state
    const made = apply(state, move)
    last.set(state, { move, state: made })
    return made
  }
}
