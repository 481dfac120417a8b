/** What the linter's configuration expects of a newer Node than the one Sett runs on. */
Object.groupBy ??= (items, keyOf) => {
  const groups = Object.create(null)
  let i = 0
  for (const item of items) (groups[keyOf(item, i++)] ??= []).push(item)
  return groups
}
