# zelo_layer(mix USES light colour base PRIVATE Eigen3::Eigen PUBLIC ...)
# One folder of src/ = one static library zelo_NAME. What a layer may know is on that one line:
# it links nothing else, and tools/check_includes refuses includes that no line allows.
add_library(zelo_warnings INTERFACE)
target_compile_options(zelo_warnings INTERFACE -Wall -Wextra -Wconversion -Wshadow -Wnon-virtual-dtor
                                               -Woverloaded-virtual -Werror
    # g++ 12 sees an overlap in "x" + std::string that is not there (GCC bug 105329)
    $<$<CXX_COMPILER_ID:GNU>:-Wno-restrict>)

function(zelo_layer name)
    cmake_parse_arguments(L "QT" "" "USES;PUBLIC;PRIVATE" ${ARGN})
    file(GLOB_RECURSE sources CONFIGURE_DEPENDS ${CMAKE_CURRENT_SOURCE_DIR}/*.cpp)
    if(L_QT)
        file(GLOB_RECURSE headers CONFIGURE_DEPENDS ${CMAKE_CURRENT_SOURCE_DIR}/*.h)
        list(APPEND sources ${headers})
    endif()
    add_library(zelo_${name} STATIC ${sources})
    target_include_directories(zelo_${name} PUBLIC ${CMAKE_SOURCE_DIR}/src)
    list(TRANSFORM L_USES PREPEND zelo_)
    target_link_libraries(zelo_${name} PUBLIC ${L_USES} ${L_PUBLIC} PRIVATE ${L_PRIVATE} zelo_warnings)
    if(L_QT)
        # moc 6.4 cannot parse libstdc++'s <concepts>; it needs nothing from it.
        set_target_properties(zelo_${name} PROPERTIES AUTOMOC ON AUTOMOC_MOC_OPTIONS -D_GLIBCXX_CONCEPTS)
    endif()
endfunction()
