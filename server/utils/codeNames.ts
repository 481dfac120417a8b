/** Short words of field, wood and water that do for code names; none is anybody's usual first name in a class list. */
export const CODE_NAMES: readonly string[] =
  `Acorn Alder Amber Aspen Badger Barley Basil Beech Birch Bracken Bramble Breeze Briar Brook Bulrush Burdock Catkin Cedar Chaff
  Cinder Clover Cobble Comet Copper Coral Crane Cress Curlew Dapple Dew Dipper Dove Drift Dune Dusk Eider Elder Elm Ember Falcon
  Feather Fennel Finch Flax Flint Frond Furze Gale Garnet Gorse Granite Grouse Gull Hare Harrow Hawk Haze Heath Hedge Heron Hobby
  Husk Inlet Isle Ivory Jackdaw Juniper Kelp Kestrel Kite Knoll Lapwing Larch Lark Lichen Linnet Loam Lupin Maple Marl Marsh Marten
  Meadow Merlin Mica Millet Mink Minnow Mistle Moor Moss Nettle Newt Nightjar Oak Oat Onyx Osprey Otter Owl Pebble Petrel Pike Pine
  Pipit Plover Pollen Quail Quartz Quill Raven Ridge Rill Ripple Rook Rush Sable Sedge Shale Shoal Shrew Siskin Slate Sloe Snipe
  Sorrel Sparrow Spruce Starling Stoat Stone Swale Swan Swift Tarn Teal Tern Thicket Thistle Thrush Tide Topaz Trout Turnstone Twig
  Umber Vale Vetch Vole Wagtail Walnut Warbler Weir Wheat Whin Wick Wigeon Wisp Wold Wood Yarrow Yew`.split(/\s+/)
