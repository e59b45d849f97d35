# zelo_table(TARGET data/standards/x.csv): makes `standards/x.inc` in the build tree from a plain
# table, one brace list a row, so that published data stays readable text and is still compiled in.
function(zelo_table target csv)
    get_filename_component(stem ${csv} NAME_WE)
    set(out ${CMAKE_BINARY_DIR}/tables/standards/${stem}.inc)
    file(STRINGS ${CMAKE_SOURCE_DIR}/${csv} rows REGEX "^[0-9]")
    list(TRANSFORM rows REPLACE "(.+)" "{\\1},\n")
    list(JOIN rows "" text)
    file(CONFIGURE OUTPUT ${out} CONTENT "${text}" @ONLY)
    target_include_directories(${target} PRIVATE ${CMAKE_BINARY_DIR}/tables)
    set_property(DIRECTORY ${CMAKE_SOURCE_DIR} APPEND PROPERTY CMAKE_CONFIGURE_DEPENDS ${CMAKE_SOURCE_DIR}/${csv})
endfunction()
