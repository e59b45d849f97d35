# A compiler cache that is there is used, so that a new clone builds what did not change from what
# another had built: precompiled headers too, and wherever the folder is.
find_program(ZELO_CCACHE ccache)
if(ZELO_CCACHE AND NOT DEFINED CMAKE_CXX_COMPILER_LAUNCHER)
    set(CMAKE_CXX_COMPILER_LAUNCHER ${CMAKE_SOURCE_DIR}/cmake/cached ${CMAKE_SOURCE_DIR} ${ZELO_CCACHE})
    if(CMAKE_CXX_COMPILER_ID STREQUAL GNU)
        add_compile_options(-fpch-preprocess)
    endif()
endif()
