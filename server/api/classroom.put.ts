import { classroomSchema } from '../../shared/schemas'
import { checkedBody } from '../utils/problem'
import { useStore } from '../utils/store'

export default defineEventHandler(async (event) => {
  const classroom = await checkedBody(event, classroomSchema)
  useStore().setClassroom(classroom)
  return classroom
})
