import { codeOfList } from '../../../core/paper/index'
import { printedSchema } from '../../../shared/prints'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Keeps the problems of a printed sheet under their code, which is made from them. */
export default route({ least: 'helper', whose: 'nobody', writes: true }, async (event) => {
  const { problems } = await checkedBody(event, printedSchema)
  const code = codeOfList(problems)
  if (code !== getRouterParam(event, 'id')) refuse(422, 'This is not the code of these problems.')
  const store = useStore()
  store.keepPrinted({ code, problems }, Date.now())
  const kept = store.printed(code)!
  if (kept.problems.join('\n') !== problems.join('\n'))
    refuse(409, 'Another list has this code already. Print one problem more or fewer.')
  return kept
})
